import { useMounted, useNow } from '@vueuse/core'
import { floorSumWords } from '#core/words'
import { FloorView } from '#shared/contracts/floor'
import { dayOf, rowClocks } from './floorClock'
import { hourOf } from './floorLayout'

const MINUTE_MS = 60_000
/** Units: hours. */
const LATE_AFTER = 5 / 60

const EMPTY: FloorView = { stations: {}, sessions: [] }

/** Sessions of today that are still to be done, by the clock; those without an hour come last. */
export function useFloor() {
  const store = useRosterStore()
  const today = useToday()
  const isLive = useMounted()
  const now = useNow({ interval: MINUTE_MS })
  const sessions = computed(() =>
    (store.view?.clients ?? [])
      .flatMap(({ id, name, next, needs }) =>
        next && next.on === today.value
          ? [
              {
                id,
                name,
                start: next.start ?? 'any time',
                what: next.name,
                minutes: next.minutes,
                need: needs[0] ?? null,
              },
            ]
          : [],
      )
      .sort((a, b) => a.start.localeCompare(b.start)),
  )
  type FloorRow = (typeof sessions.value)[number]
  /** Known only in the browser, which has the coach's clock. */
  function isLate({ start }: FloorRow): boolean {
    const hour = now.value.getHours() + now.value.getMinutes() / 60
    return isLive.value && hour > hourOf(start) + LATE_AFTER
  }
  const { ask } = useApi()
  // Drawn on the server first: what it knew is there when the page wakes up.
  const floor = useState<FloorView>('floor', () => EMPTY)
  const isKnown = useState('floor-known', () => false)
  async function loadFloor(): Promise<void> {
    const result = await ask('/api/floor', { answer: FloorView })
    isKnown.value = result.ok
    if (result.ok) floor.value = result.value
  }
  const starts = computed(() =>
    (store.view?.clients ?? []).flatMap(({ id, name, next }) =>
      next?.on === today.value ? [{ id, name, start: next.start }] : [],
    ),
  )
  const day = computed(() => dayOf(starts.value, floor.value))
  return {
    store,
    today,
    sessions,
    isLate,
    floor,
    isKnown,
    loadFloor,
    clocks: computed(() => rowClocks(starts.value, day.value)),
    waiting: computed(() => floorSumWords(day.value.waits)),
  }
}
