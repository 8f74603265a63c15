import { DAYS_PER_WEEK, MS_PER_DAY } from './time'
import { assert } from './invariant'

declare const plainDateBrand: unique symbol

/** A calendar day without clock or zone, written `2026-04-03`; sorts as text. */
export type PlainDate = string & { readonly [plainDateBrand]: true }

const SHAPE = /^\d{4}-\d{2}-\d{2}$/

/** Whether the text is a day that exists, so not 2026-02-30. */
export function isPlainDate(text: string): text is PlainDate {
  if (!SHAPE.test(text)) return false
  const instant = new Date(`${text}T00:00:00Z`)
  return !Number.isNaN(instant.getTime()) && instant.toISOString().startsWith(text)
}

/** The day a text names. Errors: InvariantError unless `isPlainDate`. */
export function plainDate(text: string): PlainDate {
  assert(isPlainDate(text), `not a calendar day: ${text}`)
  return text
}

/** The day `days` later (earlier when negative). UTC inside, so no clock change can shift it. */
export function addDays(date: PlainDate, days: number): PlainDate {
  const text = new Date(Date.parse(`${date}T00:00:00Z`) + days * MS_PER_DAY)
    .toISOString()
    .slice(0, 10)
  // A day that was reckoned exists; only its year may have five figures.
  assert(SHAPE.test(text), `not a calendar day: ${text}`)
  return text as PlainDate
}

/** Whole days from one day to another; negative when `to` is earlier. */
export function daysBetween(from: PlainDate, to: PlainDate): number {
  return (Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / MS_PER_DAY
}

/** Day of the week: 1 Monday to 7 Sunday (ISO 8601). */
export function isoWeekday(date: PlainDate): number {
  return new Date(`${date}T00:00:00Z`).getUTCDay() || 7
}

/** The next Monday; the day itself where it is one. */
export function mondayFrom(date: PlainDate): PlainDate {
  return addDays(date, (DAYS_PER_WEEK + 1 - isoWeekday(date)) % DAYS_PER_WEEK)
}
