import type { BlockPlan } from '../../plan/block'
import type { Exercise } from '../../plan/catalogue'
import { amountIn, loadGrid, roundLoad } from '../../plan/estimate'
import { type LoadProgression, mostKgOf, type PlanContext } from '../../plan/method'
import type { WeightUnit } from '../../plan/scheme'

/** The rule an exercise's load goes up by: the block's own, else the method's for its kind. */
export function loadRuleOf(
  exercise: Exercise,
  rules: BlockPlan['rules'],
  { method }: PlanContext,
): LoadProgression {
  return (
    rules?.[exercise.id]?.rule ??
    (exercise.kind === 'isolation' ? method.progress.isolationRule : method.progress.compoundRule)
  )
}

/** The heaviest load the coach has set for an exercise, as it can be loaded; Infinity where there is no limit. */
export function heaviestFor(
  exercise: Exercise,
  unit: WeightUnit,
  client: PlanContext['client'],
): number {
  const kg = mostKgOf(client, exercise.id)
  return kg === Infinity
    ? Infinity
    : roundLoad(
        amountIn({ amount: kg, unit: 'kg' }, unit),
        loadGrid(exercise, unit, client.gear),
        'down',
      )
}
