import { isoWeekday, type PlainDate } from '../base'
import { DATE_NAMES } from './dateNames'
import { writing } from './writing'

/** Short names of the weekdays in English, Monday first: the words that schedules are typed and kept in. */
export const WEEKDAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const

/** The weekday's short name for the reader at hand; Monday is 1. */
export function weekdayName(weekday: number): string {
  return DATE_NAMES[writing().language].weekdays[weekday - 1] ?? ''
}

/** The month's short name for the reader at hand; January is 1. */
export function monthName(month: number): string {
  return DATE_NAMES[writing().language].months[month - 1] ?? ''
}

/** `Fri 3 Apr`, or `Fri 3` where there is little room; as the reader at hand has dates written. */
export function formatDay(date: PlainDate, room: 'wide' | 'narrow' = 'wide'): string {
  const { dates } = writing()
  const weekday = weekdayName(isoWeekday(date))
  const day = String(Number(date.slice(8)))
  if (room === 'narrow') return `${weekday} ${day}`
  if (dates === 'year_first') return `${weekday} ${date}`
  const month = monthName(Number(date.slice(5, 7)))
  return dates === 'day_month' ? `${weekday} ${day} ${month}` : `${weekday} ${month} ${day}`
}

/** `28 Nov 2026`, with the year: for what may be long ago. */
export function formatDate(date: PlainDate): string {
  const { dates } = writing()
  if (dates === 'year_first') return date
  const [, ...parts] = formatDay(date).split(' ')
  return dates === 'month_day'
    ? `${parts.join(' ')}, ${date.slice(0, 4)}`
    : `${parts.join(' ')} ${date.slice(0, 4)}`
}
