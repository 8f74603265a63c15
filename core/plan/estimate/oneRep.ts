/** Most reps to failure from which a one-rep maximum is estimated, and the RIR from which a report is too far off to use. */
const MOST_REPS = 20
const FIRST_UNUSED_RIR = 5
/** Up to here one formula serves, from here on another; both give the same at this number. */
const TURN = 10

/** How far off an estimate usually is, in percent of it; grows with the reps. */
export type Margin = 5 | 7.5 | 10

export interface OneRepEstimate {
  readonly load: number
  readonly marginPercent: Margin
}

/** Load × (1 + reps / 30); one rep is itself. For 2 to 20 reps to failure. */
export function epley(load: number, reps: number): number {
  return reps <= 1 ? load : load * (1 + reps / 30)
}

/** Load × 36 / (37 − reps). For 1 to 10 reps to failure. */
export function brzycki(load: number, reps: number): number {
  return (load * 36) / (37 - reps)
}

/**
 * Estimated one-rep maximum from a set.
 *
 * Units:  in the unit of `load`; a fractional number of reps counts by its floor.
 * Edge:   undefined above 20 reps to failure and from RIR 5: such sets say too little.
 * Source: docs/methods.md#one-rep-maximum; examples P5 to P7 in estimate.test.ts.
 */
export function estimatedOneRep(
  load: number,
  reps: number,
  rir: number,
): OneRepEstimate | undefined {
  const toFailure = Math.floor(reps) + rir
  if (toFailure < 1 || toFailure > MOST_REPS || rir >= FIRST_UNUSED_RIR) return undefined
  return {
    load: toFailure <= TURN ? brzycki(load, toFailure) : epley(load, toFailure),
    marginPercent: toFailure <= TURN ? 5 : toFailure <= 15 ? 7.5 : 10,
  }
}

/** Reps to failure to expect at a load; 0 above the one-rep maximum. */
export function expectedReps(oneRep: number, load: number): number {
  const share = load / oneRep
  if (share > 1) return 0
  return share >= 0.75 ? 37 - 36 * share : 30 * (1 / share - 1)
}

/** Load for so many reps at an RIR, before rounding. */
export function loadForReps(oneRep: number, reps: number, rir: number): number {
  return oneRep * shareOfOneRep(reps, rir)
}

/** Share of the one-rep maximum that planned reps and RIR stand for. */
export function shareOfOneRep(reps: number, rir: number): number {
  const toFailure = reps + rir
  return toFailure <= TURN ? (37 - toFailure) / 36 : 1 / (1 + toFailure / 30)
}

/** Reps, and those in reserve at their end. */
interface Effort {
  readonly reps: number
  readonly rir: number
}

/**
 * The load for other reps than a set was done with, before rounding.
 *
 * Units:  in the unit of `load`.
 * Edge:   also where a set tells no maximum, by too many reps or none: both loads lie on one curve, so that a rep more is never less.
 * Source: docs/methods.md#one-rep-maximum.
 */
export function loadForOther(load: number, done: Effort, wanted: Effort): number {
  return (load * shareOfOneRep(wanted.reps, wanted.rir)) / shareOfOneRep(done.reps, done.rir)
}

/** Part of the body that is lifted, by exercise; others give no load unless the coach says a part. */
const BODY_PARTS: Readonly<Record<string, number>> = {
  pull_up: 1,
  chin_up: 1,
  neutral_chin_up: 1,
  assisted_chin_up: 1,
  dip: 1,
  assisted_dip: 1,
  push_up: 0.65,
  narrow_push_up: 0.65,
  bench_dip: 0.6,
  inverted_row: 0.6,
}

/** Load of a body-weight exercise in the unit given; undefined where the part lifted is not known. A counterweight is a negative `added`. */
export function bodyLoad(
  exerciseId: string,
  bodyWeight: number,
  added: number,
): number | undefined {
  const part = BODY_PARTS[exerciseId]
  return part === undefined ? undefined : bodyWeight * part + added
}

/** Exercises a counterweight takes weight off; what is logged of them is what was taken off. */
const TAKEN_OFF: readonly string[] = ['assisted_chin_up', 'assisted_dip']

/** Whether what is lifted of the body belongs to the load of an exercise. */
export const liftsBody = (exerciseId: string): boolean => BODY_PARTS[exerciseId] !== undefined

/**
 * What was really lifted in a logged set: with body-weight work the part of the body that is lifted, and what was added or taken off.
 *
 * Units: kilograms. Edge: null where nothing can be said: no load, or body-weight work of somebody who was never weighed.
 */
export function liftedKg(
  exerciseId: string,
  loadKg: number | null,
  bodyKg: number | null,
): number | null {
  if (!liftsBody(exerciseId)) return loadKg
  const added = TAKEN_OFF.includes(exerciseId) ? -(loadKg ?? 0) : (loadKg ?? 0)
  return bodyKg === null ? null : (bodyLoad(exerciseId, bodyKg, added) ?? null)
}
