/** A finished week of a joint. */
export interface JointHistory {
  readonly load: number
  readonly isDeload: boolean
  /** Done of planned sets, 0 to 1. */ readonly adherence: number
}

export type RampVerdict =
  | { readonly kind: 'no_history' }
  | { readonly kind: 'steady'; readonly ramp: number }
  | {
      readonly kind: 'rising' | 'steep' | 'too_steep'
      readonly ramp: number
      readonly baseline: number
      /** Points to take away to rise by a fifth only. */ readonly surplus: number
    }

const WEEKS = 4
const LEAST_WEEKS = 2
const LEAST_ADHERENCE = 0.6
const STEADY = 1.2
const STEEP = 1.35
const TOO_STEEP = 1.6
const LEAST_RISE = 6

/** Mean of the last four weeks that say something; undefined with fewer than two. */
export function jointBaseline(history: readonly JointHistory[]): number | undefined {
  const usable = history
    .slice(-WEEKS)
    .filter(({ isDeload, adherence }) => !isDeload && adherence >= LEAST_ADHERENCE)
  if (usable.length < LEAST_WEEKS) return undefined
  return usable.reduce((sum, { load }) => sum + load, 0) / usable.length
}

/**
 * A planned week of a joint against the last weeks.
 *
 * Units:  points. A small rise is nobody's business, however large its share.
 * Source: docs/methods.md#joints; examples J-6 and J-7.
 */
export function jointRamp(planned: number, history: readonly JointHistory[]): RampVerdict {
  const baseline = jointBaseline(history)
  if (baseline === undefined || baseline === 0) return { kind: 'no_history' }
  const ramp = planned / baseline
  if (ramp <= STEADY || planned - baseline < LEAST_RISE) return { kind: 'steady', ramp }
  const surplus = planned - STEADY * baseline
  if (ramp <= STEEP) return { kind: 'rising', ramp, baseline, surplus }
  return { kind: ramp <= TOO_STEEP ? 'steep' : 'too_steep', ramp, baseline, surplus }
}
