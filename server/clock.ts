import { type PlainDate, plainDate, MS_PER_DAY } from '#core/base'

const NOON = 'T12:00:00Z'

/** How many whole days the clock is moved, so that it is the day `DEMO_TODAY` names; 0 where it names none. */
export function clockOffsetMs(demoToday: string | undefined, at: number): number {
  if (!demoToday) return 0
  const today = new Date(at).toISOString().slice(0, 10)
  const days = (Date.parse(plainDate(demoToday) + NOON) - Date.parse(today + NOON)) / MS_PER_DAY
  return Math.round(days) * MS_PER_DAY
}

const OFFSET_MS = clockOffsetMs(process.env.DEMO_TODAY, Date.now())

/**
 * This moment. The only clock of the server, of scripts and of journeys: with `DEMO_TODAY` set it is that day, at the
 * real time of day, and goes on from there.
 */
export function currentTime(): Date {
  return new Date(Date.now() + OFFSET_MS)
}

/** The calendar day of the server, in UTC; what a person asks about goes by her own day (utils/today.ts). */
export function serverToday(): PlainDate {
  return plainDate(currentTime().toISOString().slice(0, 10))
}
