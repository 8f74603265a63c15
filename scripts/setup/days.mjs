// The days on which tests of what depends on dates are played: every weekday, ends of months, the leap day, the turn of
// the year, and both changes of the clocks.
import process from 'node:process'

/** Why each day is worth a try. */
export const GOOD_DAYS = {
  '2026-01-01': 'the first day of a year',
  '2026-01-31': 'a month of 31 days ends, a Saturday',
  '2026-02-28': 'February ends',
  '2026-03-01': 'a month begins on a Sunday',
  '2026-03-08': 'the clocks change west of the ocean',
  '2026-03-29': 'the clocks go forward, a Sunday',
  '2026-03-30': 'the Monday after the clocks went forward',
  '2026-04-30': 'a month of 30 days ends, a Thursday',
  '2026-06-02': 'a Tuesday',
  '2026-07-15': 'a Wednesday',
  '2026-09-04': 'a Friday',
  '2026-10-25': 'the clocks go back, a Sunday',
  '2026-10-26': 'the Monday after the clocks went back',
  '2026-12-31': 'the last day of a year',
  '2027-01-02': 'a Saturday in the first week of a year',
  '2028-02-29': 'the leap day, a Tuesday',
  '2028-03-01': 'the day after the leap day',
}

const DAYS = Object.keys(GOOD_DAYS)

/** One of the days, drawn by a date: the same for the same date. */
/** @param {string} date @returns {string} */
export function drawnDay(date) {
  const number = Math.round(Date.parse(`${date}T12:00:00Z`) / 86_400_000)
  return DAYS[(number * 7) % DAYS.length] ?? date
}

/**
 * The days this run plays: all of them with `DAYS=all`, the one that `DEMO_TODAY` names, else today and one drawn by
 * today's date.
 */
export function daysOfRun(env = process.env, today = new Date().toISOString().slice(0, 10)) {
  if (env.DAYS === 'all') return DAYS
  if (env.DEMO_TODAY) return [env.DEMO_TODAY]
  return [today, drawnDay(today)]
}
