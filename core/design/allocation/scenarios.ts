import { seededRandom } from '../../base'
import type { PlanDocument } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import type { RotationDay } from '../../plan/rotation'
import type { NewAs } from './cells'
import { allocationProblem } from './problem'
import { search } from './search'
import type { Miss } from './wants'

export const SCENARIO_KINDS = ['as_is', 'shorter', 'day_less', 'no_arm_day', 'finishers'] as const
export type ScenarioKind = (typeof SCENARIO_KINDS)[number]

/** The rotation under other terms, with the open sets placed anew. */
export interface Scenario {
  readonly kind: ScenarioKind
  /** The day (from 0) that is given up; null where none is. */
  readonly day: number | null
  readonly minutes: number
  readonly points: number
  readonly stimulus: number
  readonly misses: readonly Miss[]
  readonly trainingDays: number
}

const SHORTER = 0.75
const MOVES = 6000
const REST: RotationDay = { role: 'rest', sessions: [] }

function withDays(
  plan: PlanDocument,
  change: (day: RotationDay, at: number) => RotationDay,
): PlanDocument {
  return { ...plan, rotation: { ...plan.rotation, days: plan.rotation.days.map(change) } }
}

const isTraining = (day: RotationDay) => day.role !== 'rest' && day.sessions.length > 0

/** Minutes of every day cut by a quarter, to whole five minutes; a day without a limit gets none. */
function shorter(plan: PlanDocument): PlanDocument {
  return withDays(plan, day =>
    day.minuteLimit === undefined
      ? day
      : { ...day, minuteLimit: Math.max(5, Math.round((day.minuteLimit * SHORTER) / 5) * 5) },
  )
}

/**
 * What other terms would give: shorter days, a day less, no arm day with the sets on the other days instead, or as finishers there.
 *
 * Edge: of the days that could be given up the one that costs least is; with two training days none is.
 */
export function scenarios(
  plan: PlanDocument,
  context: PlanContext,
  {
    onProgress,
    moves = MOVES,
  }: { readonly onProgress?: (share: number) => boolean; readonly moves?: number } = {},
): readonly Scenario[] {
  const training = plan.rotation.days.flatMap((day, at) => (isTraining(day) ? [at] : []))
  const arm = plan.rotation.days.findIndex(
    ({ role, sessions }) => role === 'arms' && sessions.length > 0,
  )
  const without = (given: number) => withDays(plan, (day, at) => (at === given ? REST : day))
  const asked: { kind: ScenarioKind; day: number | null; plan: PlanDocument; newAs?: NewAs }[] = [
    { kind: 'as_is', day: null, plan },
    { kind: 'shorter', day: null, plan: shorter(plan) },
    ...(training.length > 2
      ? training
          .filter(day => day !== arm)
          .map(day => ({ kind: 'day_less' as const, day, plan: without(day) }))
      : []),
    ...(arm >= 0 && training.length > 1
      ? [
          { kind: 'no_arm_day' as const, day: arm, plan: without(arm) },
          { kind: 'finishers' as const, day: arm, plan: without(arm), newAs: 'finisher' as const },
        ]
      : [{ kind: 'finishers' as const, day: null, plan, newAs: 'finisher' as const }]),
  ]
  const found: Scenario[] = []
  for (const [at, { kind, day, plan: under, newAs = 'usual' }] of asked.entries()) {
    if (onProgress?.(at / asked.length) === true) break
    const result = search(allocationProblem({ plan: under, context, newAs }), {
      kind: 'best',
      moves,
      random: seededRandom(60 + at),
    })
    found.push({
      kind,
      day,
      minutes: result.seconds / 60,
      points: result.points,
      stimulus: result.stimulus,
      misses: result.misses,
      trainingDays: under.rotation.days.filter(isTraining).length,
    })
  }
  const cheapest = found
    .filter(({ kind }) => kind === 'day_less')
    .sort((a, b) => a.points - b.points || b.stimulus - a.stimulus)[0]
  return found.filter(scenario => scenario.kind !== 'day_less' || scenario === cheapest)
}
