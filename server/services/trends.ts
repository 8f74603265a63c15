import { groupedBy, type PlainDate } from '#core/base'
import { exerciseTrend } from '#core/log'

/** Trends by exercise from exposures in any order. */
export function trendsOf(exposures: readonly { readonly exercise: string, readonly on: PlainDate, readonly value: number, readonly repsToFailure: number }[]) {
  const byExercise = groupedBy(exposures, ({ exercise }) => exercise)
  return [...byExercise].map(([exercise, points]) => ({ exercise, trend: exerciseTrend(points.map(({ on, value, repsToFailure }) => ({ week: weekOf(on), value, repsToFailure }))) }))
}

const MS_PER_WEEK = 604_800_000
function weekOf(on: PlainDate): number {
  return Date.parse(`${on}T00:00:00Z`) / MS_PER_WEEK
}
