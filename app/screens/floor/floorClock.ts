import { type FloorDay, floorDay, type FloorSession } from '#core/follow/floor'
import { floorLackWords, floorWaitWords } from '#core/words'
import type { FloorView } from '#shared/contracts/floor'

/** Who starts when, as the roster has it: `17:30`; null for whoever comes at any time. */
interface Start {
  readonly id: string
  readonly name: string
  readonly start: string | null
}

const SECONDS = { hour: 3600, minute: 60, day: 86_400 } as const

const secondsOf = (clock: string): number =>
  Number(clock.slice(0, 2)) * SECONDS.hour + Number(clock.slice(3, 5)) * SECONDS.minute

/** A moment of the day as a clock shows it, to the minute: `18:16`; past midnight it begins anew. */
export function clockOf(seconds: number): string {
  const minutes = Math.round(seconds / SECONDS.minute) % (SECONDS.day / SECONDS.minute)
  const two = (part: number) => String(part).padStart(2, '0')
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`
}

/** The day of those whose hour is known, on one clock. */
export function dayOf(starts: readonly Start[], { sessions, stations }: FloorView): FloorDay {
  const parts = new Map<string, FloorSession['parts']>(
    sessions.map(({ id, parts: own }) => [id, own]),
  )
  return floorDay(
    starts.flatMap(({ id, start }) => {
      const own = parts.get(id)
      return start === null || !own || own.length === 0
        ? []
        : [{ id, start: secondsOf(start), parts: own }]
    }),
    stations,
  )
}

/** What a row says of its session besides: when it ends, what it waits for, what is not there. */
export interface RowClock {
  readonly ends: string | null
  readonly waits: readonly string[]
  readonly lacks: readonly string[]
}

/** What each row says, by client. */
export function rowClocks(starts: readonly Start[], day: FloorDay): ReadonlyMap<string, RowClock> {
  const firstNames = new Map(starts.map(({ id, name }) => [id, name.split(' ')[0] ?? name]))
  const nameOf = (id: string) => firstNames.get(id) ?? ''
  return new Map(
    starts.map(({ id }) => {
      const end = day.ends.get(id)
      const lacks = day.lacks.filter(({ session }) => session === id)
      return [
        id,
        {
          ends: end === undefined ? null : clockOf(end),
          waits: day.waits
            .filter(({ session, seconds }) => session === id && seconds >= SECONDS.minute / 2)
            .map(wait => `at ${clockOf(wait.from)} ${floorWaitWords(wait, nameOf)}`),
          lacks: [...new Set(lacks.map(({ station }) => floorLackWords(station)))],
        },
      ]
    }),
  )
}
