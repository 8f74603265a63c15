import {
  addDays,
  type ClientId,
  DAYS_PER_WEEK,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { TREND, UNKNOWN_TREND } from '#core/body/trend'
import {
  muscleEvidence,
  passReview,
  plateauLog,
  plateauOf,
  skippedHabits,
  triedTrial,
  wayCourses,
} from '#core/follow/review'
import type { Group } from '#core/plan/catalogue'
import type { Problem } from '#shared/contracts/problem'
import type { PlateauView, ReviewView } from '#shared/contracts/review'
import { pastSessions, type ReviewData, reviewData } from './reviewData'
import type { Coach } from './signIn'
import { saidOf } from './trends'

/** What goes over more than one rotation: trials, what is skipped, and exercises that go a way of their own. */
export function habitsOf(
  data: ReviewData,
  today: PlainDate,
): Pick<ReviewView, 'trials' | 'skipped' | 'ways'> {
  const { question, block, used, sets, reports, catalogue, context } = data
  const past = pastSessions(data, addDays(today, -TREND.windowDays))
  const log = { values: used, sets: [...sets.values()].flat(), pains: reports }
  return {
    trials: (question.trials ?? []).map(trial => triedTrial(trial, log, catalogue, today)),
    skipped: skippedHabits(past, context),
    ways: wayCourses(block.plan.block?.ways ?? {}, past, context),
  }
}

/** A muscle that does not move, with everything that was looked at. */
export async function plateau(
  coach: Coach,
  clientId: ClientId,
  group: Group,
  today: PlainDate,
): Promise<Result<PlateauView, Problem>> {
  const found = await reviewData(coach, clientId, 'latest', today, 'block')
  if (!found.ok) return found
  const { question, context, view } = found.value
  const [evidence, reviewed] = [muscleEvidence(question, group), passReview(question)]
  if (!evidence || !reviewed) return failure({ kind: 'not-found', what: 'rotation' })
  const log = plateauLog(
    {
      past: pastSessions(found.value, question.expanded.from),
      exercises: reviewed.exercises,
      today,
    },
    group,
    context,
  )
  const length = question.expanded.passes[question.pass]?.rotation.days.length ?? DAYS_PER_WEEK
  const trend = question.muscles.get(group) ?? { ...UNKNOWN_TREND, since: null }
  return success({
    name: view.name,
    group,
    trend: saidOf(trend, context.client),
    plateau: plateauOf(evidence, log, length),
  })
}
