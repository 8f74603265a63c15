import { expectedReps, loadForReps } from './oneRep'

/** Strength a set costs the next ones of the same exercise, as a share; a rule of thumb. */
export const LOST_PER_SET = 0.012

/** What is left set by set at one load, and the load that would keep the first set's reserve in the last one. */
export interface ReserveCourse {
  readonly left: readonly number[]
  readonly keeping: number
}

/**
 * The course of the reserve over sets of equal reps at one load.
 *
 * Units:  reps, to halves, never below 0; `keeping` in the unit of `load`, before rounding.
 * Edge:   undefined for one set, and where reps and reserve are no base for an estimate.
 * Source: docs/methods.md#effort.
 */
export function reserveCourse(
  load: number,
  reps: number,
  rir: number,
  sets: number,
): ReserveCourse | undefined {
  if (sets < 2 || load <= 0 || reps < 1 || reps + rir > 20) return undefined
  const oneRep = load / loadForReps(1, reps, rir)
  const strength = (at: number) => oneRep * (1 - LOST_PER_SET * at)
  const left = Array.from({ length: sets }, (_, at) =>
    Math.max(0, Math.round((expectedReps(strength(at), load) - reps) * 2) / 2),
  )
  return { left, keeping: loadForReps(strength(sets - 1), reps, rir) }
}
