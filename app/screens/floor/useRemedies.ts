import { clockOf, secondsOf } from '#core/follow/floor'
import { RemediesView, TakenRemedy } from '#shared/contracts/floor'
import { refusalWords } from '~/shell/refusalWords'
import type { FloorPage } from './useFloor'

const FIVE_MINUTES = 300

/** The session that is looked at, the ways out of its wait, and taking one. */
export function useRemedies({ shown, view, on, notices, refresh, showPartOf }: FloorPage) {
  const { ask } = useApi()
  const chosen = ref<string | null>(null)
  const isAlways = ref(false)
  const said = ref('')
  const isBusy = ref(false)
  const ways = shallowRef<RemediesView['remedies']>([])
  const isLooking = ref(false)
  const session = computed(() => view.value?.sessions.find(({ id }) => id === chosen.value))

  /** Asked for anew whenever the day or the choice changes; what comes late for an older choice is dropped. */
  async function look(): Promise<void> {
    const [asked, day] = [chosen.value, on.value]
    ways.value = []
    if (asked === null || !notices.value.some(({ session: of }) => of === asked)) return
    isLooking.value = true
    const result = await ask('/api/floor/remedies', {
      method: 'POST',
      body: { on: day, session: asked },
      answer: RemediesView,
    })
    if (asked !== chosen.value || day !== on.value) return
    isLooking.value = false
    if (result.ok) ways.value = result.value.remedies
  }
  const named = useRoute().query.session
  onMounted(() => {
    // A board that tells of a wait leads to it.
    if (typeof named === 'string') choose(named)
    watch([chosen, view], look, { immediate: true })
  })

  // Once it was taken back, nothing is taken any more.
  watch(
    () => useChangesStore().epoch,
    () => (said.value = ''),
  )

  function choose(id: string | null): void {
    chosen.value = chosen.value === id ? null : id
    if (chosen.value) showPartOf(chosen.value)
  }
  /** The next thing to look at, after the one that is chosen. */
  function next(): void {
    const waiting = [...new Set(notices.value.map(({ session: of }) => of))]
    const at = waiting.findIndex(id => id === chosen.value)
    chosen.value = waiting[(at + 1) % Math.max(1, waiting.length)] ?? null
    if (chosen.value) showPartOf(chosen.value)
  }
  function walk(step: number): void {
    const ids = shown.value?.sessions.map(({ id }) => id) ?? []
    const at = ids.findIndex(id => id === chosen.value)
    chosen.value = ids[Math.min(ids.length - 1, Math.max(0, at < 0 ? 0 : at + step))] ?? null
  }

  async function done(path: string, body: object): Promise<void> {
    if (isBusy.value) return
    isBusy.value = true
    said.value = ''
    const result = await ask(path, { method: 'POST', body, answer: TakenRemedy })
    said.value = result.ok
      ? `${result.value.did} Z takes it back.`
      : refusalWords(result.error, 'The server did not answer, so nothing was changed. Try again.')
    await refresh()
    isBusy.value = false
  }
  /** Whether what is taken holds for the day only, or from now on. */
  function hold(always: boolean): void {
    isAlways.value = always
  }
  function take(at: number): void {
    const way = ways.value[at]
    if (way && chosen.value)
      void done('/api/floor/take', {
        on: on.value,
        session: chosen.value,
        key: way.key,
        isAlways: isAlways.value && way.canStay,
      })
  }
  /** Moves the start of the chosen session by five minutes. */
  function shift(steps: number): void {
    if (!session.value || session.value.isBegun) return
    const start = clockOf(secondsOf(session.value.start) + steps * FIVE_MINUTES)
    void done('/api/floor/start', { on: on.value, session: session.value.id, start })
  }
  return {
    chosen,
    session,
    ways,
    isLooking,
    isAlways,
    isBusy,
    said,
    choose,
    hold,
    next,
    walk,
    take,
    shift,
  }
}

export type FloorWays = ReturnType<typeof useRemedies>
