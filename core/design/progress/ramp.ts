import { roundHalfUp } from '../../base'

export const RAMP_KINDS = ['none', 'linear', 'step'] as const
/** How a muscle's sets go from the first to the last working rotation: level, evenly rising, or one more now and then. */
export type RampKind = (typeof RAMP_KINDS)[number]

/** Largest rise from one rotation to the next where the method says nothing, as a share. */
const USUAL_CAP = 0.2
const FIRST_STEP = 3
const STEP_EVERY = 2

/**
 * Sets of each working rotation of a block.
 *
 * Shape:  one number per rotation, from the first on.
 * Units:  sets per 7 days, whole.
 * Edge:   one rotation is the start; no rise is larger than the cap, but a single set always is allowed; a fall is not capped.
 * Source: docs/methods.md#block; examples P1 and P2.
 */
export function setRamp({
  kind,
  start,
  end,
  rotations,
  cap = USUAL_CAP,
}: {
  readonly kind: RampKind
  readonly start: number
  readonly end: number
  readonly rotations: number
  readonly cap?: number
}): readonly number[] {
  const sets: number[] = []
  for (let week = 1; week <= rotations; week++) {
    const wanted =
      kind === 'none' || rotations === 1
        ? start
        : kind === 'linear'
          ? roundHalfUp(start + ((end - start) * (week - 1)) / (rotations - 1))
          : steps(start, end, week)
    const before = sets.at(-1)
    sets.push(
      before === undefined
        ? wanted
        : Math.min(wanted, before + Math.max(1, roundHalfUp(cap * before))),
    )
  }
  return sets
}

function steps(start: number, end: number, week: number): number {
  const taken = week < FIRST_STEP ? 0 : Math.floor((week - FIRST_STEP) / STEP_EVERY) + 1
  return end >= start ? Math.min(end, start + taken) : Math.max(end, start - taken)
}

/** Reps in reserve below which an exercise should not be planned, by its kind. */
export const LEAST_RIR = { compound: 1, isolation: 0 } as const

/**
 * Reps in reserve of each working rotation, from the first to the last.
 *
 * Units:  whole reps in reserve, never under the least of the kind.
 * Source: docs/methods.md#block; example P3.
 */
export function effortRamp(
  { from, to }: { readonly from: number; readonly to: number },
  rotations: number,
  least: number = LEAST_RIR.isolation,
): readonly number[] {
  return Array.from({ length: rotations }, (_, at) =>
    Math.max(
      least,
      roundHalfUp(rotations === 1 ? from : from + ((to - from) * at) / (rotations - 1)),
    ),
  )
}

/**
 * Sets laid over places that may take one more each, in the order they stand, until a sum is reached.
 *
 * Shape:  `sets` as given, none more than one above; `left` is what no place could take.
 * Source: docs/methods.md#block; example P4.
 */
export function spreadSets(
  sets: readonly number[],
  wanted: number,
  mayTake: (at: number) => boolean = () => true,
): { readonly sets: readonly number[]; readonly left: number } {
  const spread = [...sets]
  let left = wanted - sets.reduce((sum, own) => sum + own, 0)
  for (let at = 0; at < spread.length && left > 0; at++) {
    if (!mayTake(at)) continue
    spread[at] = spread[at]! + 1
    left -= 1
  }
  return { sets: spread, left: Math.max(0, left) }
}
