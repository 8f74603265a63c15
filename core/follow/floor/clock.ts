import { isoWeekday, type PlainDate } from '../../base'
import { SECOND_SESSION_HOURS } from '../../plan/rotation'

const SECONDS = { hour: 3600, minute: 60, day: 86_400 } as const

/** Seconds of the day of a clock such as `17:30`. */
export const secondsOf = (clock: string): number =>
  Number(clock.slice(0, 2)) * SECONDS.hour + Number(clock.slice(3, 5)) * SECONDS.minute

/** A moment of the day as a clock shows it, to the minute: `18:16`; past midnight it begins anew. */
export function clockOf(seconds: number): string {
  const minutes = Math.round(seconds / SECONDS.minute) % (SECONDS.day / SECONDS.minute)
  const two = (part: number) => String(part).padStart(2, '0')
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`
}

/** When a client comes: as the profile has it by weekday, Monday 1, and as agreed for single dates. Clocks such as `17:30`. */
export interface ClientStarts {
  readonly usual: ReadonlyMap<number, string>
  readonly agreed: Readonly<Partial<Record<PlainDate, string>>>
}
/** Where nothing was ever said. */
const SOME_START = '17:30'

/** When a client begins on a date, and when it would be if nothing had been agreed; a second session of the day comes hours later. */
export function startOn(
  { usual, agreed }: ClientStarts,
  on: PlainDate,
  place = 0,
): { readonly start: string; readonly usual: string } {
  const own = usual.get(isoWeekday(on)) ?? [...usual.values()][0] ?? SOME_START
  const later = (clock: string) =>
    clockOf(secondsOf(clock) + place * SECOND_SESSION_HOURS * SECONDS.hour)
  return { start: later(agreed[on] ?? own), usual: later(own) }
}

/** The start a client can be told for a date: none where neither the profile's weekday nor an agreement says one. */
export function knownStart(
  starts: ClientStarts,
  on: PlainDate,
  place = 0,
): ReturnType<typeof startOn> | null {
  const isKnown = starts.agreed[on] !== undefined || starts.usual.has(isoWeekday(on))
  return isKnown ? startOn(starts, on, place) : null
}
