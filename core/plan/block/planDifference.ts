import type { ExerciseId } from '../../base'
import { daySlots } from '../rotation'
import { plannedSets } from '../scheme'
import type { PlanDocument } from './planDocument'

/** Sets of an exercise on a day that two versions of a plan disagree about; days from 0. */
export interface SetDifference {
  readonly day: number
  readonly exercise: ExerciseId
  readonly mine: number
  readonly theirs: number
}

/** What two versions of a plan disagree about. */
export interface PlanDifference {
  readonly sets: readonly SetDifference[]
  /** Whether something besides numbers of sets differs, such as reps, order, days or the title. */
  readonly isMore: boolean
}

/** Compares two versions of a plan, day by day and exercise by exercise. */
export function planDifference(mine: PlanDocument, theirs: PlanDocument): PlanDifference {
  const length = Math.max(mine.rotation.days.length, theirs.rotation.days.length)
  const sets = Array.from({ length }, (_, day) => day).flatMap(day => {
    const ours = setsByExercise(mine, day)
    const others = setsByExercise(theirs, day)
    return [...new Set([...ours.keys(), ...others.keys()])]
      .map(exercise => ({
        day,
        exercise,
        mine: ours.get(exercise) ?? 0,
        theirs: others.get(exercise) ?? 0,
      }))
      .filter(row => row.mine !== row.theirs)
  })
  return { sets, isMore: sets.length === 0 && JSON.stringify(mine) !== JSON.stringify(theirs) }
}

function setsByExercise(plan: PlanDocument, day: number): ReadonlyMap<ExerciseId, number> {
  const sums = new Map<ExerciseId, number>()
  const content = plan.rotation.days[day]
  for (const slot of content ? daySlots(content) : []) {
    sums.set(slot.exercise, (sums.get(slot.exercise) ?? 0) + plannedSets(slot.scheme))
  }
  return sums
}
