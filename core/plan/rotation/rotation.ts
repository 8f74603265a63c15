import { daysBetween, type PlainDate } from '../../base'
import type { SideLoad } from '../method'
import { plannedSets } from '../scheme'
import { type Session, sessionSlots, type Slot } from '../session'

export const DAY_ROLES = [
  'push',
  'pull',
  'upper',
  'lower',
  'arms',
  'legs',
  'full',
  'conditioning',
  'rest',
  'open',
  'other',
] as const
export type DayRole = (typeof DAY_ROLES)[number]

/** Days a rotation may have. */
export const ROTATION_LENGTH = { min: 2, max: 14 } as const
/** Sessions a day may hold. */
export const MAX_SESSIONS_PER_DAY = 2

/** One day of a rotation; a rest day has no sessions, an open one has not been said yet. */
export interface RotationDay {
  readonly role: DayRole
  /** The coach's own word for the day, shown instead of the role. */
  readonly label?: string
  readonly minuteLimit?: number
  readonly sessions: readonly Session[]
}

/**
 * `places`: the days stand where they are. `per_days`: so many sessions in so many days, their places are assumed.
 * `sequence`: an order whose dates are open; places and frequency are assumed.
 */
export const ROTATION_KINDS = ['places', 'per_days', 'sequence'] as const

/** Ordered days that repeat. `weekday` keeps day 1 on that day of the week (1 Monday), which only 7 and 14 days can; `floating` drifts. */
export interface Rotation {
  readonly kind: (typeof ROTATION_KINDS)[number]
  /** The client's own rule besides the places: never more days than this between two sessions. */
  readonly maxGapDays?: number
  readonly sideLoads?: readonly SideLoad[]
  readonly anchor:
    { readonly kind: 'floating' } | { readonly kind: 'weekday'; readonly startsOn: number }
  readonly days: readonly RotationDay[]
}

/** Every slot of a day in order. */
export function daySlots(day: RotationDay): readonly Slot[] {
  return day.sessions.flatMap(sessionSlots)
}

/** Sets of a day, warm-up left out. */
export function daySetCount(day: RotationDay): number {
  return daySlots(day).reduce((sum, slot) => sum + plannedSets(slot.scheme), 0)
}

/** Whether a rotation of this length comes back to the same weekdays. */
export function canStayOnWeekdays(lengthDays: number): boolean {
  return lengthDays % 7 === 0
}

/** Which pass and which day of a rotation of `lengthDays` fall on a date, both from 0; null before the first pass. */
export function placeOn(
  lengthDays: number,
  start: PlainDate,
  date: PlainDate,
): { readonly pass: number; readonly day: number } | null {
  const since = daysBetween(start, date)
  return since < 0 ? null : { pass: Math.floor(since / lengthDays), day: since % lengthDays }
}

export const ROLE_NAMES: Readonly<Record<DayRole, string>> = {
  push: 'Push',
  pull: 'Pull',
  upper: 'Upper',
  lower: 'Lower',
  arms: 'Arms',
  legs: 'Legs',
  full: 'Full body',
  conditioning: 'Conditioning',
  rest: 'Rest',
  open: 'Not said yet',
  other: 'Other',
}

/** What the head of a day says: the coach's own word, else the role. */
export function dayName(day: RotationDay): string {
  return day.label ?? ROLE_NAMES[day.role]
}

/** A second session of a day begins so many hours after the first. Rule of thumb. Source: docs/methods.md#recovery. */
export const SECOND_SESSION_HOURS = 6
