import { DAYS_PER_WEEK } from '../../base'
/** How the exposures of a group lie in a rotation that repeats. */
export interface Spread {
  /** Days from 0 on which the group is trained enough to count. */
  readonly exposures: readonly number[]
  readonly frequencyPer7Days: number
  /** Days from each exposure to the next, round the turn of the rotation; null without exposures. */
  readonly gaps: readonly number[] | null
  /** 0 to 1, 1 is even; null without exposures. */
  readonly evenness: number | null
}

const SLACK = 1e-9

/** Scales a sum over a rotation to 7 days. */
export function per7Days(rotationSum: number, lengthDays: number): number {
  return (rotationSum * DAYS_PER_WEEK) / lengthDays
}

/**
 * Exposures, frequency, gaps and evenness from the sets of each day.
 *
 * Units:  `dailySets` are fractional counted sets, whatever the school, so that frequency stays the same under all of them.
 * Source: docs/methods.md#rotations; examples N1 to N8 and N17 in spread.test.ts.
 */
export function spreadOf(dailySets: readonly number[], minSetsPerExposure: number): Spread {
  const length = dailySets.length
  const exposures = dailySets.flatMap((sets, day) =>
    sets >= minSetsPerExposure - SLACK ? [day] : [],
  )
  const frequencyPer7Days = per7Days(exposures.length, length)
  if (exposures.length === 0) return { exposures, frequencyPer7Days, gaps: null, evenness: null }
  const gaps = exposures.map((day, at) => {
    const next = exposures[at + 1] ?? (exposures[0] ?? 0) + length
    return next - day
  })
  return {
    exposures,
    frequencyPer7Days,
    gaps,
    evenness: length / exposures.length / Math.max(...gaps),
  }
}

/** Smallest and largest sum of any 7 days in a row, over a rotation that repeats. */
export function rollingWeek(dailySets: readonly number[]): {
  readonly min: number
  readonly max: number
} {
  const length = dailySets.length
  let [min, max] = [Infinity, -Infinity]
  for (let start = 0; start < length; start++) {
    let sum = 0
    for (let ahead = 0; ahead < DAYS_PER_WEEK; ahead++) sum += dailySets[(start + ahead) % length]!
    min = Math.min(min, sum)
    max = Math.max(max, sum)
  }
  return { min, max }
}
