import { exerciseId, type ExerciseId, type PlainDate } from '../../base'
import { median } from '../../body/log'
import { loweringOf, restOf } from '../../design/progress'
import type { BlockPlan, Way } from '../../plan/block'
import { type Exercise, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { sessionSlots, type Slot } from '../../plan/session'
import { isWorkingSet } from './outcome'
import type { PastSession } from './skipped'

/** How far an exercise has come by its own way, in the measure that fits it; the middle of the first three and of the last three. */
export interface WayCourse {
  readonly exercise: ExerciseId
  readonly way: Way
  readonly first: number
  readonly last: number
  readonly sessions: number
  /** Reps were moved without a load in kilograms: the measure counts reps alone. */
  readonly isReps: boolean
}

const LEAST_SESSIONS = 4
const SOME = 3
/** Seconds a set takes besides its rest. */
const SET_SECONDS = 40

/** What an exercise came to on a day: kilograms moved, a minute's worth of them, or kilograms lowered times seconds. */
function valueOf(
  { kind }: Way,
  slot: Slot,
  exercise: Exercise,
  moved: number,
  sets: number,
): number {
  switch (kind) {
    case 'sets':
      return moved
    case 'rest':
      return moved / ((sets * SET_SECONDS + (sets - 1) * restOf(slot.scheme, exercise)) / 60)
    case 'lowering':
      return moved * loweringOf(slot.scheme)
  }
}

interface Done {
  readonly on: PlainDate
  readonly slot: Slot
  readonly kg: number
  readonly reps: number
  readonly sets: number
}

function doneOf(exercise: string, past: readonly PastSession[]): readonly Done[] {
  return past.flatMap(({ on, content, sets }): Done[] => {
    const slot = sessionSlots(content).find(one => one.exercise === exercise)
    const own = sets.filter(set => isWorkingSet(set) && set.exercise === exercise)
    if (!slot || own.length === 0) return []
    return [
      {
        on,
        slot,
        sets: own.length,
        kg: own.reduce((sum, { loadKg, reps }) => sum + (loadKg ?? 0) * (reps ?? 0), 0),
        reps: own.reduce((sum, { reps }) => sum + (reps ?? 0), 0),
      },
    ]
  })
}

/**
 * Exercises with a way of their own, each read by the measure that fits: more sets by what is moved in a session, less rest by what
 * is moved in a minute, slower lowering by load and seconds.
 *
 * Edge: nothing under four sessions; without loads in kilograms reps alone are counted.
 */
export function wayCourses(
  ways: NonNullable<BlockPlan['ways']>,
  past: readonly PastSession[],
  { catalogue }: PlanContext,
): readonly WayCourse[] {
  return Object.entries(ways).flatMap(([id, way]): WayCourse[] => {
    const done = doneOf(id, past)
    if (done.length < LEAST_SESSIONS) return []
    const exercise = requireExercise(catalogue, id)
    const isReps = done.some(({ kg }) => kg <= 0)
    const values = done.map(({ slot, kg, reps, sets }) =>
      valueOf(way, slot, exercise, isReps ? reps : kg, sets),
    )
    return [
      {
        exercise: exerciseId(id),
        way,
        first: median(values.slice(0, SOME)),
        last: median(values.slice(-SOME)),
        sessions: done.length,
        isReps,
      },
    ]
  })
}
