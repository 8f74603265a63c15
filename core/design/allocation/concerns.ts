import { exerciseChoices } from '../../plan/block'
import { ARM_GROUPS, type Group } from '../../plan/catalogue'
import { bandOf } from '../../plan/method'
import type { LimitUse } from './limits'
import type { Problem } from './cells'
import { scorer } from './score'

/** What is wrong with a question before anything is placed. Days from 0. */
export type AllocationConcern =
  | { readonly kind: 'no_training_day' | 'nothing_open' }
  | { readonly kind: 'band_inverted' | 'no_exercise'; readonly group: Group }
  /** What stands fixed uses more than a limit allows. */
  | { readonly kind: 'fixed_over_limit'; readonly limit: LimitUse }

/** Muscles beside the arms are often left out on purpose: only what the equipment or the list to avoid rules out is told of them. */
function mayLackDay(group: Group, { plan, context }: Problem): boolean {
  return (
    !(ARM_GROUPS as readonly Group[]).includes(group) &&
    exerciseChoices(plan, group, context).length > 0
  )
}

/** Concerns of a question, each of which the coach can settle. */
export function allocationConcerns(problem: Problem): readonly AllocationConcern[] {
  const { places, cells, context, asked } = problem
  if (places.length === 0) return [{ kind: 'no_training_day' }]
  const inverted = asked.flatMap((group): AllocationConcern[] => {
    const { floor, target, ceiling } = bandOf(context, group)
    return floor > target || target > ceiling ? [{ kind: 'band_inverted', group }] : []
  })
  const missing = asked.flatMap((group): AllocationConcern[] =>
    cells.some(({ main }) => main === group) || mayLackDay(group, problem)
      ? []
      : [{ kind: 'no_exercise', group }],
  )
  const over = scorer(problem)
    .tightLimits()
    .filter(({ isLifted }) => isLifted)
    .map((limit): AllocationConcern => ({ kind: 'fixed_over_limit', limit }))
  return [
    ...(cells.length === 0 ? [{ kind: 'nothing_open' as const }] : []),
    ...inverted,
    ...missing,
    ...over,
  ]
}
