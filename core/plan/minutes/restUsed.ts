import { directGroups, type Exercise, type Group } from '../catalogue'
import { intentFor, type PlanContext } from '../method'
import { nominalReps, type Rest, restSeconds, type SetRun, workStages } from '../scheme'
import type { Slot } from '../session'
import { sideOrderOf } from './setSeconds'

const SHORT_REST_GROUPS: readonly Group[] = ['forearms', 'calves', 'abs']
const SHORT_REST = 60
/** Rest after each arm of one-arm work where the plan gives none: the other arm's set is a rest too. */
const BETWEEN_ARMS: UsedRest = { seconds: 45, isGiven: false }
/** Compound sets up to so many reps rest longer. */
const HEAVY_REPS = 8

/** Seconds of a rest and whether the plan gives them. */
export interface UsedRest {
  readonly seconds: number
  readonly isGiven: boolean
}

/** The group an exercise is chosen for first: the slot's own, else the first direct one. */
export function mainGroup(slot: Slot, exercise: Exercise, context: PlanContext): Group | undefined {
  return directGroups(slot.credits ?? intentFor(context, exercise, slot.intent).credits)[0]
}

/** The kind of rest that fits an exercise, for the method's usual and least seconds. */
export function restClass(
  run: SetRun,
  exercise: Exercise,
): 'compoundHeavy' | 'compound' | 'isolation' {
  if (exercise.kind === 'isolation') return 'isolation'
  const reps =
    nominalReps(workStages(run)[0]?.reps) ?? (exercise.repRange[0] + exercise.repRange[1]) / 2
  return reps <= HEAVY_REPS ? 'compoundHeavy' : 'compound'
}

/** Rest after a set: the slot's, else what is usual for one-arm work, small muscles, or the method's class. */
export function restAfterSet(
  run: SetRun,
  slot: Slot,
  exercise: Exercise,
  context: PlanContext,
): UsedRest {
  const given = givenRest(run.restAfter)
  if (given) return given
  if (sideOrderOf(run, exercise, false) === 'rest_between') return BETWEEN_ARMS
  const main = mainGroup(slot, exercise, context)
  if (main && SHORT_REST_GROUPS.includes(main)) return { seconds: SHORT_REST, isGiven: false }
  return { seconds: context.method.rest[restClass(run, exercise)], isGiven: false }
}

/** A rest the plan gives in numbers. */
export function givenRest(rest: Rest | undefined): UsedRest | undefined {
  const seconds = rest && restSeconds(rest)
  return seconds === undefined ? undefined : { seconds, isGiven: true }
}

/** Rest between the two arms of a set, in seconds; 0 where they do not rest in between. */
export function restBetweenArms(run: SetRun, exercise: Exercise, isPaired: boolean): number {
  return sideOrderOf(run, exercise, isPaired) === 'rest_between'
    ? (givenRest(run.restAfter) ?? BETWEEN_ARMS).seconds
    : 0
}
