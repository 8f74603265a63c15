import {
  addDays,
  type BlockId,
  type ClientId,
  groupedBy,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { ARM_GROUPS, GROUPS } from '#core/plan/catalogue'
import { adjustmentReason, adjustmentWords } from '#core/words'
import { isAhead, sessionState, splitByUse } from '#core/body/log'
import { muscleTrends, TREND, UNKNOWN_TREND } from '#core/body/trend'
import { modeOf } from '#core/plan/method'
import { blockCourse, passReview } from '#core/follow/review'
import type { Problem } from '#shared/contracts/problem'
import type { ReportView } from '#shared/contracts/report'
import { database } from '../db/database'
import { measurementsOf } from '../db/queries/health'
import { exposuresOf } from '../db/queries/training'
import { type ReviewData, reviewData } from './reviewData'
import type { Coach } from './signIn'
import { siftFacts } from './trends'
import { exerciseCourses } from './trendsPage'

/** The block so far, as the client is told it: sums, courses, and what was changed and why. */
export async function report(
  coach: Coach,
  clientId: ClientId,
  today: PlainDate,
  of?: BlockId,
): Promise<Result<ReportView, Problem>> {
  const db = database()
  const data = await reviewData(coach, clientId, 'latest', today, 'block', of)
  if (!data.ok) return data
  const { view, block, question, rows, decided, context, catalogue, reports } = data.value
  const { expanded, outcomes } = question
  // A block that is behind is told as it ended: what came after is no work of it.
  const asOf = expanded.to < today ? expanded.to : today
  const [exposures, measurements] = await Promise.all([
    exposuresOf(db, coach.id, [clientId], addDays(asOf, -TREND.windowDays)),
    measurementsOf(db, coach.id, clientId),
  ])
  const passes = expanded.passes
    .map(({ at }) => passReview({ ...question, pass: at }))
    .filter(reviewed => reviewed !== undefined)
  const due = rows.filter(row => row.pass >= 0 && !isAhead(sessionState(row, today)))
  const nameOf = (exercise: string) => catalogue.get(exercise)?.name ?? exercise
  const within = measurements
    // Beside a cold girth a pumped one would be growth.
    .filter(({ on, isPumped }) => on >= expanded.from && on <= asOf && !isPumped)
    .sort((a, b) => a.on.localeCompare(b.on))
  const pains = reports.filter(({ on }) => on >= expanded.from && on <= asOf)
  const { volume } = blockCourse(expanded, outcomes, context)
  // A rotation that is not over yet would make a usual week look short.
  const whole = volume.filter(({ pass }) => (expanded.passes[pass]?.to ?? today) < today)
  return success({
    name: view.name,
    title: block.plan.title,
    from: expanded.from,
    to: expanded.to,
    sessionsDone: due.filter(row => sessionState(row, today) === 'done').length,
    sessionsDue: due.length,
    setsDone: passes.reduce((sum, { setsDone }) => sum + setsDone, 0),
    setsDue: passes.reduce((sum, { setsDue }) => sum + setsDue, 0),
    volume: whole.length > 0 ? whole : volume,
    exercises: exerciseCourses(
      exposures.filter(({ on }) => on <= asOf),
      data.value,
      asOf,
    ),
    muscles: ownMuscles(
      exposures.filter(({ on }) => on >= expanded.from && on <= asOf),
      data.value,
    ),
    pain: {
      reports: pains.length,
      worst: Math.max(0, ...pains.map(({ score }) => score)),
    },
    changes: decided
      .filter(
        ({ decision, proposal: { change } }) =>
          decision === 'taken' && change.kind !== 'go_on' && change.kind !== 'confirm',
      )
      .map(({ proposal, decidedAt }) => ({
        on: decidedAt.toISOString().slice(0, 10),
        words: adjustmentWords(proposal, nameOf),
        why: adjustmentReason(proposal),
      }))
      .reverse(),
    measured: [...groupedBy(within, ({ kind }) => kind)].flatMap(([kind, own]) =>
      own.length > 1 ? [{ kind, first: own[0]?.value ?? 0, last: own.at(-1)?.value ?? 0 }] : [],
    ),
    built: GROUPS.filter(group => modeOf(context, group) === 'build'),
  })
}

/** Trends of the arm muscles by what was done within a block. */
function ownMuscles(
  exposures: Awaited<ReturnType<typeof exposuresOf>>,
  { block, reports, decided, catalogue }: ReviewData,
): ReportView['muscles'] {
  const { used } = splitByUse(
    exposures,
    siftFacts({ plan: block.plan, reports, decisions: decided, catalogue }),
  )
  const trends = muscleTrends(used, catalogue)
  return ARM_GROUPS.flatMap(group => {
    const { slope, error, count } = trends.get(group) ?? UNKNOWN_TREND
    return count === 0
      ? []
      : [{ group, slope, error: Number.isFinite(error) ? error : null, count }]
  })
}
