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
  const widths = WIDTHS[age]
  let left = sets
  let effective = 0
  for (let segment = 0; segment < widths.length && left > 0; segment++) {
    const width = widths[segment]!
    effective += Math.min(left, width) * SLOPES[segment]!
    left -= width
  }
  return effective
}
