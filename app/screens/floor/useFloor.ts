import { useMounted, useNow } from '@vueuse/core'
import { hourOf } from './floorLayout'

const MINUTE_MS = 60_000
/** Units: hours. */
const LATE_AFTER = 5 / 60

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
  return { store, today, sessions, isLate }
}
