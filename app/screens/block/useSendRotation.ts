import { refusalWords } from '~/shell/refusalWords'
import { useHandOver } from '../log/useHandOver'
import type { Ref } from 'vue'
import { SentAnswer } from '#shared/contracts/block'
import type { ApiFailure } from '~/shell/useApi'
import type { BlockPlace } from './blockPlace'

function failureWords(error: ApiFailure): string {
  return `Not sent. ${refusalWords(error, 'The server did not answer. Try again.')}`
}

/** Gives the client the selected rotation; what she has is replaced only when the coach says so. */
export function useSendRotation({ at, current, message }: BlockPlace) {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const { ask } = useApi()
  const isAskingAgain = ref(false)
  const { isHandingOver, handOver } = useHandOver(store.client?.id ?? '')
  const isSending: Ref<boolean> = ref(false)

  async function sent(block: string, again: boolean): Promise<void> {
    const result = await ask(`/api/blocks/${block}/send`, {
      method: 'POST',
      body: { pass: at.value, version: store.version, again },
      answer: SentAnswer,
    })
    if (result.ok) {
      const { sessions } = result.value
      await issued.load()
      await handOver()
      message.value = `Rotation ${at.value + 1} is sent: ${sessions} ${sessions === 1 ? 'session' : 'sessions'}.`
    } else if (
      result.error.kind === 'refused' &&
      result.error.problem.type === '/problems/already-sent'
    )
      isAskingAgain.value = true
    else message.value = failureWords(result.error)
  }

  async function send(again = false): Promise<void> {
    const held = store.client?.block
    if (!held || isSending.value) return
    const isOut = current.value?.pass.sessions.some(session => session.sent !== undefined)
    isAskingAgain.value = !again && isOut === true
    if (isAskingAgain.value) return
    isSending.value = true
    await store.save()
    if (store.isSaved) await sent(held.id, again)
    else message.value = 'The plan is not saved yet, so nothing was sent. Try again in a moment.'
    isSending.value = false
  }
  return { send, isAskingAgain, isSending, isHandingOver }
}
