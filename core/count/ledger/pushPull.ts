import { type Pattern, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { CountedWork } from './countedWork'

const PUSH: readonly Pattern[] = ['horizontal_press', 'incline_press', 'vertical_press', 'dip']
const PULL: readonly Pattern[] = ['vertical_pull', 'horizontal_pull']

/** Compound pressing against compound pulling; shown beside the beam, with no wish of its own. Units: sets of one rotation. */
export interface PushPull {
  readonly push: number
  readonly pull: number
}

/** Sets of compounds that press or dip, and of those that pull. Source: docs/methods.md#ratio. */
export function pushPull(work: readonly CountedWork[], context: PlanContext): PushPull {
  const setsOf = (patterns: readonly Pattern[]) =>
    work.reduce((sum, { slot, sets }) => {
      const { kind, pattern } = requireExercise(context.catalogue, slot.exercise)
      return sum + (kind === 'compound' && patterns.includes(pattern) ? sets.value : 0)
    }, 0)
  return { push: setsOf(PUSH), pull: setsOf(PULL) }
}
