import { Done } from '#shared/contracts/history'
import { NewShownAnswer, NewShownBody, ShownView } from '#shared/contracts/shown'
import { instantWords } from '~/shell/instantWords'
import { refusalWords } from '~/shell/refusalWords'
import type { z } from 'zod'

const NOTHING_DONE = 'The server did not answer, so nothing was changed. Try again.'

/** Addresses at which others look at what a client has: made, told once, and withdrawn. */
export function useShownLinks(clientId: string) {
  const { ask } = useApi()
  const path = `/api/clients/${clientId}/shown`
  const links = shallowRef<ShownView['links']>([])
  const url = ref('')
  const complaint = ref('')
  async function load(): Promise<void> {
    const result = await ask(path, { answer: ShownView })
    if (result.ok) links.value = result.value.links
  }
  onMounted(load)
  const { send: post, complaint: posting } = useSubmission({
    path: () => path,
    body: NewShownBody,
    answer: NewShownAnswer,
  })
  async function make(body: z.input<typeof NewShownBody>): Promise<void> {
    const made = await post(body)
    if (made) url.value = `${window.location.origin}${made.path}`
    await load()
  }
  async function withdraw(id: string): Promise<void> {
    const result = await ask(`${path}/${id}`, { method: 'DELETE', answer: Done })
    complaint.value = result.ok ? '' : refusalWords(result.error, NOTHING_DONE)
    await load()
  }
  return {
    url,
    make,
    withdraw,
    complaint: computed(() => posting.value || complaint.value),
    lines: computed(() =>
      links.value.map(({ id, words, createdAt, expiresAt, seenAt, isOver }) => ({
        id,
        words,
        about: [
          `since ${instantWords(createdAt)}`,
          ...(isOver ? ['run out'] : expiresAt ? [`until ${instantWords(expiresAt)}`] : []),
          seenAt ? `looked at ${instantWords(seenAt)}` : 'not looked at yet',
        ].join(', '),
      })),
    ),
  }
}
