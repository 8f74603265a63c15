/** Days of a week, hours of a day: the only places where these numbers stand. */
export const DAYS_PER_WEEK = 7
export const HOURS_PER_DAY = 24
export const MS_PER_MINUTE = 60_000
export const MS_PER_HOUR = 60 * MS_PER_MINUTE
export const MS_PER_DAY = HOURS_PER_DAY * MS_PER_HOUR
