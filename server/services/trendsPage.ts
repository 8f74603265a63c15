import {
  addDays,
  type ClientId,
  groupedBy,
  type PlainDate,
  plainDate,
  type Result,
  success,
  DAYS_PER_WEEK,
} from '#core/base'
import { directGroups } from '#core/plan/catalogue'
import {
  type DatedValue,
  type ExclusionReason,
  splitByUse,
  setUpChanges,
  trendPointsOf,
} from '#core/body/log'
import { datedTrend, TREND, trendBand } from '#core/body/trend'
import { blockCourse, densities } from '#core/follow/review'
import type { PlanContext } from '#core/plan/method'
import type { Problem } from '#shared/contracts/problem'
import type { ExerciseCourse, TrendsView } from '#shared/contracts/trends'
import { database } from '../db/database'
import { measurementsOf } from '../db/queries/health'
import { exposuresOf } from '../db/queries/training'
import { type ReviewData, reviewData } from './reviewData'
import type { Coach } from './signIn'
import { saidOf, siftFacts } from './trends'

/** A year is shown; a trend goes by its last eight weeks. */
const SHOWN_DAYS = 365

export function courseOf(
  exercise: string,
  own: readonly (DatedValue & { readonly leftOut: ExclusionReason | null })[],
  { catalogue, client }: Pick<PlanContext, 'catalogue' | 'client'>,
  today: PlainDate,
): ExerciseCourse {
  const from = own[0]?.on ?? today
  const ofWindow = own.filter(
    ({ on, leftOut }) => leftOut === null && on >= addDays(today, -TREND.windowDays),
  )
  const used = trendPointsOf(ofWindow, from)
  const trend = datedTrend(ofWindow)
  const known = catalogue.get(exercise)
  return {
    exercise,
    name: known?.name ?? exercise,
    group: known ? (directGroups(known.intents[0].credits)[0] ?? null) : null,
    points: own.map(({ on, value, leftOut }) => ({ on, value, leftOut })),
    setUps: setUpChanges(own),
    trend: saidOf(trend, client),
    line: trendBand(used, trend).map(({ week, ...range }) => ({
      ...range,
      on: plainDate(addDays(from, Math.round(week * DAYS_PER_WEEK))),
    })),
  }
}

/** Estimates by exercise with their trends, those with most estimates first. */
export function exerciseCourses(
  exposures: Awaited<ReturnType<typeof exposuresOf>>,
  data: ReviewData,
  today: PlainDate,
): readonly ExerciseCourse[] {
  const { block, reports, decided, catalogue } = data
  const { used, leftOut } = splitByUse(
    exposures,
    siftFacts({ plan: block.plan, reports, decisions: decided, catalogue }),
  )
  const all = [
    ...used.map(one => ({ ...one, leftOut: null })),
    ...leftOut.map(({ reason, ...one }) => ({ ...one, leftOut: reason })),
  ].sort((a, b) => a.on.localeCompare(b.on))
  return [...groupedBy(all, ({ exercise }) => exercise)]
    .map(([exercise, own]) => courseOf(exercise, own, data.context, today))
    .sort((a, b) => b.points.length - a.points.length)
}

/** Estimates of a year with their trends, volume and readiness of the block behind them, and what was measured. */
export async function trends(
  coach: Coach,
  clientId: ClientId,
  today: PlainDate,
): Promise<Result<TrendsView, Problem>> {
  const db = database()
  const [data, exposures, measurements] = await Promise.all([
    reviewData(coach, clientId, 'latest', today, 'block'),
    exposuresOf(db, coach.id, [clientId], addDays(today, -SHOWN_DAYS)),
    measurementsOf(db, coach.id, clientId),
  ])
  if (!data.ok) return data
  const { question, view, rows, sets } = data.value
  return success({
    name: view.name,
    ...blockCourse(question.expanded, question.outcomes, question.context),
    density: densities(rows.map(row => ({ ...row, sets: sets.get(row.id) ?? [] }))),
    measurements: measurements.map(({ on, kind, value }) => ({ on, kind, value })),
    exercises: exerciseCourses(exposures, data.value, today),
  })
}
