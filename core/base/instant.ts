import { daysBetween, plainDate } from './plainDate'

const EPOCH = plainDate('1970-01-01')
const ISO = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2}):(\d{2}(?:\.\d+)?)Z$/
const SECONDS = { day: 86_400, hour: 3600, minute: 60 } as const

/**
 * Seconds since 1970 of an instant as entries carry it, `2026-04-03T17:30:00.000Z`.
 *
 * Edge: NaN for any other spelling; instants come from parsed input.
 */
export function instantSeconds(text: string): number {
  const [, day = '', hours, minutes, seconds] = ISO.exec(text) ?? []
  if (day === '') return NaN
  return (
    daysBetween(EPOCH, plainDate(day)) * SECONDS.day +
    Number(hours) * SECONDS.hour +
    Number(minutes) * SECONDS.minute +
    Number(seconds)
  )
}
