export type CurveAge = 'new' | 'trained'

/** Falling worth of more sets of one group on one day: widths in sets and slopes, in order. Source: docs/methods.md#session-curve. */
const SLOPES = [1, 0.75, 0.4, 0.1] as const
const WIDTHS: Readonly<Record<CurveAge, readonly number[]>> = {
  trained: [4, 4, 3, 4],
  new: [3, 3, 2, 3],
}

/**
 * Effective sets of one group on one day.
 *
 * Shape:   concave and piecewise linear; the first sets are worth 1, past the last segment nothing is added.
 * Source:  docs/methods.md#session-curve; table D in sessionCurve.test.ts.
 */
export function effectiveSets(sets: number, age: CurveAge): number {
  let left = sets
  let effective = 0
  WIDTHS[age].forEach((width, segment) => {
    const used = Math.min(Math.max(0, left), width)
    effective += used * SLOPES[segment]!
    left -= width
  })
  return effective
}
