import { daysBetween, type PlainDate } from '../base'
import { MEASUREMENT_TABLE, type MeasurementKind } from '../body/measurements'
import { armsThrough, type GoalCourse } from '../follow/goals'
import type { Exercise } from '../plan/catalogue'
import { formatDate, formatDay } from './dates'
import { formatOneDecimal, NBSP } from './figures'
import { creditWords, GROUP_NAMES } from './names'
import { listed } from './text'

/** What a goal is measured by, and in what. */
export function goalMeasureWords(
  measure: { readonly kind: 'measurement' | 'strength'; readonly of: string },
  exerciseName: (id: string) => string,
): { readonly name: string; readonly unit: string } {
  if (measure.kind === 'strength')
    return { name: `${exerciseName(measure.of)}, estimated best`, unit: 'kg' }
  const { name, unit } = MEASUREMENT_TABLE[measure.of as MeasurementKind]
  return { name, unit }
}

/** What arm work a lift elsewhere lives on; empty where it is arm work itself, or none. */
export function throughWords(exercise: Exercise | undefined): string {
  const through = exercise ? armsThrough(exercise) : []
  if (through.length === 0) return ''
  const names = through.map(
    ({ group, credit }) => `${GROUP_NAMES[group].toLowerCase()} (counted ${creditWords(credit)})`,
  )
  return `Goes through ${listed(names)}.`
}

/** Where a goal stands, in one sentence. */
export function goalSentence(
  { start, now, share, expected, state }: GoalCourse,
  goal: { readonly target: number; readonly by: PlainDate; readonly unit: string },
  today: PlainDate,
): string {
  const value = (of: number) => `${formatOneDecimal(of)}${NBSP}${goal.unit}`
  if (!start || !now) return 'Nothing measured since it was set.'
  const way = share === null ? '' : `, ${Math.round(100 * share)}${NBSP}% of the way`
  const stands = `${value(now.value)} on ${formatDay(now.on)}${way}`
  const weeks = Math.max(0, Math.round(daysBetween(today, goal.by) / 7))
  const left = `${weeks} ${weeks === 1 ? 'week' : 'weeks'} to go`
  if (state === 'reached') return `Reached: ${stands}.`
  if (state === 'over') return `The day has passed: ${stands}.`
  if (!expected) return `${stands}; ${left}. Too early to say whether it is on course.`
  const range = `leads to ${value(expected.low)} to ${value(expected.high)} on ${formatDate(goal.by)}`
  const verdict = { on_course: 'On course', behind: 'Behind', open: 'Open' }[state]
  return `${verdict}: ${stands}; ${left}. The course so far ${range}.`
}
