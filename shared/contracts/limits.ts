import { LOG_LIMITS } from '#core/follow/sheet'
import { PHASE_BOUNDS } from '#core/plan/method'

/** Least and most of a field, under the names that a form's field takes them by. */
const between = <const Min extends number, const Max extends number>(min: Min, max: Max) => ({
  min,
  max,
})

/**
 * What fields may hold: the contracts let in no more, and forms ask for no more. Text by its longest, numbers by least and
 * most, in the unit that the contract's field says.
 */
export const LIMITS = {
  shortText: 500,
  title: 120,
  name: 80,
  longText: 2000,
  oneWord: 30,
  closingNotes: 4000,
  weighed: 1000,
  minuteLimit: between(5, 480),
  rir: between(0, 6),
  weekSets: between(0, 60),
  frequency: between(0.25, 7),
  sessionSets: between(1, 40),
  nextBlockWeeks: between(1, 16),
  baseWeeks: between(1, 16),
  armsEvery: PHASE_BOUNDS.armsEvery,
  phaseVolume: PHASE_BOUNDS.volume,
  linkDays: between(1, 730),
  painScore: between(0, 10),
  restSeconds: between(0, 3600),
  loggedMinutes: between(LOG_LIMITS.minutes.least, LOG_LIMITS.minutes.most),
  pinDigits: 8,
} as const
