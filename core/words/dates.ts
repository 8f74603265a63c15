import { isoWeekday, type PlainDate } from '../base'

/** Short names of the weekdays, Monday first. */
export const WEEKDAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
const MONTHS = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
] as const

/** `Fri 3 Apr`, or `Fri 3` where there is little room. */
export function formatDay(date: PlainDate, room: 'wide' | 'narrow' = 'wide'): string {
  const weekday = WEEKDAY_NAMES[isoWeekday(date) - 1] ?? ''
  const day = `${weekday} ${Number(date.slice(8))}`
  return room === 'narrow' ? day : `${day} ${MONTHS[Number(date.slice(5, 7)) - 1] ?? ''}`
}
