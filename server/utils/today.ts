import { isPlainDate, type PlainDate, plainDate } from '#core/base'
import type { H3Event } from 'h3'
import { currentTime } from '../clock'

const MOST_DAYS_OFF = 1.5 * 86_400_000

/**
 * The asking person's own day, as her browser says it in `x-today`; the server's where it says none.
 *
 * A browser may be ahead or behind the server by its time zone; further off its clock is wrong and is not believed.
 */
export function todayOf(event: H3Event): PlainDate {
  const here = currentTime()
  const asked = getHeader(event, 'x-today')
  const isNear =
    asked !== undefined &&
    isPlainDate(asked) &&
    Math.abs(Date.parse(`${asked}T12:00:00Z`) - here.getTime()) <= MOST_DAYS_OFF
  return isNear ? plainDate(asked) : plainDate(here.toISOString().slice(0, 10))
}
