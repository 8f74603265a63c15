import { addDays, daysBetween, type PlainDate, plainDate } from '#core/base'
import { formatDate, formatDay } from '#core/words'

const STEPS = [1, 2, 7, 14, 28, 56, 91, 182, 364] as const
const MOST_TICKS = 6
/** From so many days on a year stands with its dates. */
const YEARLY = 300

/** Where an axis of dates has its marks, the last day among them, written as the reader has dates written. */
export function dateTicks(dates: readonly string[]): {
  readonly tickvals: string[]
  readonly ticktext: string[]
} {
  const days = dates.map(date => plainDate(date.slice(0, 10))).sort()
  const [first, last] = [days[0], days.at(-1)]
  if (!first || !last) return { tickvals: [], ticktext: [] }
  const length = daysBetween(first, last)
  const step = STEPS.find(days => length / days < MOST_TICKS) ?? Math.ceil(length / MOST_TICKS)
  const count = Math.floor(length / step) + 1
  const ticks = Array.from({ length: count }, (_, at) => addDays(last, (at + 1 - count) * step))
  const words = (on: PlainDate) => (length >= YEARLY ? formatDate(on) : formatDay(on))
  return { tickvals: ticks, ticktext: ticks.map(words) }
}
