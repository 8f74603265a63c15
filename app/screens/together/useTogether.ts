import type { PlainDate } from '#core/base'
import { GROUP_SIZE } from '#core/follow/floor'
import { FloorView, TogetherView } from '#shared/contracts/floor'
import { useLocalStorage } from '@vueuse/core'
import { refusalWords } from '~/shell/refusalWords'
import { installSheetWorker } from '../phone/useSheetWorker'

/** Somebody who trains today. */
interface Person {
  readonly client: string
  readonly session: string
  readonly name: string
  readonly what: string
  readonly start: string
}
interface Kept {
  readonly on: string
  readonly people: readonly Person[]
  readonly chosen: readonly string[]
}
export const TOGETHER_KEPT = 'tholepin-together'

/** A group of one hour: who is in it, kept on the tablet so that it opens without reception. */
export function useTogether() {
  const { ask } = useApi()
  const today = useToday()
  const kept = useLocalStorage<Kept>(TOGETHER_KEPT, { on: '', people: [], chosen: [] })
  const people = computed(() => (kept.value.on === today.value ? kept.value.people : []))
  const chosen = computed(() =>
    people.value.filter(({ client }) => kept.value.chosen.includes(client)),
  )
  const failed = ref(false)
  async function load(): Promise<void> {
    const result = await ask(`/api/floor?on=${today.value}`, { answer: FloorView })
    failed.value = !result.ok
    if (!result.ok) return
    const seen = result.value.sessions.map(({ client, id, name, what, start }): Person => ({
      client,
      session: id,
      name,
      what,
      start,
    }))
    // Who has finished is on the floor no more, but stays in the group until she is taken out.
    const before = people.value.filter(
      one =>
        kept.value.chosen.includes(one.client) && !seen.some(({ client }) => client === one.client),
    )
    kept.value = {
      on: today.value,
      people: [...before, ...seen],
      chosen: kept.value.on === today.value ? kept.value.chosen : [],
    }
  }
  const isLive = ref(false)
  onMounted(async () => {
    void installSheetWorker('/together')
    await load()
    isLive.value = true
  })
  const isFull = computed(() => chosen.value.length >= GROUP_SIZE.most)
  function toggle(client: string): void {
    const has = kept.value.chosen.includes(client)
    if (!has && isFull.value) return
    kept.value = {
      ...kept.value,
      chosen: has
        ? kept.value.chosen.filter(one => one !== client)
        : [...kept.value.chosen, client],
    }
  }
  return {
    on: today,
    people,
    chosen,
    isFull,
    failed,
    isLive,
    load,
    toggle,
    ...useArranged(today, chosen, load),
  }
}

/** The group laid side by side: what would be changed, then done with one key. */
function useArranged(
  on: Readonly<Ref<PlainDate>>,
  chosen: Readonly<Ref<readonly Person[]>>,
  load: () => Promise<void>,
) {
  const { ask } = useApi()
  const arranged = shallowRef<TogetherView | null>(null)
  const said = ref('')
  watch(chosen, () => (arranged.value = null))
  async function arrange(isTaken: boolean): Promise<void> {
    const result = await ask('/api/floor/together', {
      method: 'POST',
      body: { on: on.value, sessions: chosen.value.map(({ session }) => session), isTaken },
      answer: TogetherView,
    })
    if (!result.ok) {
      said.value = refusalWords(
        result.error,
        'No reception: this needs the server. Logging goes on without it.',
      )
      return
    }
    arranged.value = isTaken ? null : result.value
    said.value = isTaken ? 'Laid side by side. Undo it on the Floor with Z.' : ''
    if (isTaken) await load()
  }
  return { arranged, said, arrange }
}
