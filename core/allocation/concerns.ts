import { ARM_GROUPS, type Group } from '../catalogue'
import { bandOf } from '../method'
import type { LimitUse } from './limits'
import type { Problem } from './problem'
import { scorer } from './score'

/** What is wrong with a question before anything is placed. Days from 0. */
export type AllocationConcern =
  | { readonly kind: 'no_training_day' | 'nothing_open' }
  | { readonly kind: 'band_inverted' | 'no_exercise', readonly group: Group }
  /** What stands fixed uses more than a limit allows. */
  | { readonly kind: 'fixed_over_limit', readonly limit: LimitUse }

/** Concerns of a question, each of which the coach can settle. */
export function allocationConcerns(problem: Problem): readonly AllocationConcern[] {
  const { places, cells, context } = problem
  if (places.length === 0) return [{ kind: 'no_training_day' }]
  const inverted = ARM_GROUPS.flatMap((group): AllocationConcern[] => {
    const { floor, target, ceiling } = bandOf(context, group)
    return floor > target || target > ceiling ? [{ kind: 'band_inverted', group }] : []
  })
  const missing = ARM_GROUPS.flatMap((group): AllocationConcern[] => (cells.some(({ main }) => main === group) ? [] : [{ kind: 'no_exercise', group }]))
  const over = scorer(problem).tightLimits().filter(({ isLifted }) => isLifted).map((limit): AllocationConcern => ({ kind: 'fixed_over_limit', limit }))
  return [...(cells.length === 0 ? [{ kind: 'nothing_open' as const }] : []), ...inverted, ...missing, ...over]
}
