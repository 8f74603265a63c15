import { requireExercise } from '../catalogue'
import type { PlanContext } from '../method'
import { workStages } from '../scheme'
import type { Slot } from '../session'
import { restAfterSet, restBetweenArms } from './restUsed'
import { timedReps } from './setSeconds'

/** What is counted and timed where the plan leaves room: a range, or nothing said. */
export type Assumed =
  | { readonly kind: 'sets' | 'reps'; readonly value: number }
  | { readonly kind: 'rest' | 'arms'; readonly seconds: number }

/**
 * What minutes and worth of an exercise rest on where its sets are a range or leave something open.
 *
 * Shape:  sets, then reps a set, rest after a set, rest between arms; of the working sets, each figure once. Empty where the
 *         plan says it all.
 * Units:  sets, reps, seconds.
 * Source: docs/methods.md#minutes.
 */
export function assumedIn(slot: Slot, context: PlanContext): readonly Assumed[] {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const found = slot.scheme.runs
    .filter(({ role }) => role === 'working')
    .flatMap((run): Assumed[] => {
      const [lead] = workStages(run)
      const isOpen = lead?.reps?.kind !== 'exactly' && exercise.repUnit === 'reps'
      const rest = restAfterSet(run, slot, exercise, context)
      const arms = restBetweenArms(run, exercise, false)
      return [
        ...(run.countRange ? [{ kind: 'sets' as const, value: run.count }] : []),
        ...(lead && isOpen
          ? [{ kind: 'reps' as const, value: timedReps(lead, exercise, [], []).count }]
          : []),
        ...(rest.isGiven && run.restAfter?.kind !== 'between'
          ? []
          : [{ kind: 'rest' as const, seconds: rest.seconds }]),
        ...(arms > 0 && !run.restAfter ? [{ kind: 'arms' as const, seconds: arms }] : []),
      ]
    })
  return found.filter(
    (one, at) => found.findIndex(other => JSON.stringify(other) === JSON.stringify(one)) === at,
  )
}
