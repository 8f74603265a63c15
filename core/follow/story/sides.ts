import type { PlainDate } from '../../base'
import { type BodySide, type LoggedSet, setEstimate } from '../../body/log'

/** Left against right on one day: by how much the right arm did more, as a share; below 0 the left did. */
export interface SideDay {
  readonly on: PlainDate
  readonly gap: number
}

/** How left and right stand to each other. Shares; `gap` above 0: the right does more. */
export interface SideGap {
  readonly gap: number
  /** Middle 80 % of where the gap may lie. */
  readonly low: number
  readonly high: number
  readonly days: number
  /** The arm that does less; null where that cannot be told. */
  readonly weak: BodySide | null
}

/** Days it takes before anything is said of a gap. */
const LEAST_DAYS = 4
/** The latest days tell. */
const MOST_DAYS = 12
/** Student's t for the middle 80 and 95 %, by degrees of freedom from 3. */
const T_80 = [1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372, 1.363]
const T_95 = [3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201]

/** Logarithm of what a set's load and reps come to; null where they say nothing. */
function valueOf(set: LoggedSet): number | null {
  const { role, stage, lapses } = set
  if (role !== 'working' || stage !== 1 || lapses?.length) return null
  const estimate = setEstimate(set)
  return estimate === null ? null : Math.log(estimate)
}

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** Right against left on one day, over the sets that both did; undefined where one of them did none. */
function gapOf(sets: readonly LoggedSet[]): number | undefined {
  const of = (side: BodySide) =>
    new Map(sets.flatMap(set => (set.side === side ? [[set.set, valueOf(set)] as const] : [])))
  const [left, right] = [of('left'), of('right')]
  const gaps = [...left].flatMap(([set, value]) => {
    const other = right.get(set) ?? null
    return value === null || other === null ? [] : [other - value]
  })
  return gaps.length > 0 ? Math.exp(mean(gaps)) - 1 : undefined
}

/** Left against right, day by day, the oldest first; days on which one side did nothing are left out. */
export function sideDays(
  days: readonly { readonly on: PlainDate; readonly sets: readonly LoggedSet[] }[],
): readonly SideDay[] {
  return days.flatMap(({ on, sets }) => {
    const gap = gapOf(sets)
    return gap === undefined ? [] : [{ on, gap }]
  })
}

/**
 * The gap between left and right over the latest days, with its interval.
 *
 * Shape: null while there are fewer than four days on which both sides did a set.
 * Units: shares of the left arm's estimate; the weak arm is named only where the middle 95 % leaves 0 out.
 */
export function sideGap(days: readonly SideDay[]): SideGap | null {
  const gaps = days.slice(-MOST_DAYS).map(({ gap }) => gap)
  if (gaps.length < LEAST_DAYS) return null
  const middle = mean(gaps)
  const variance = gaps.reduce((sum, gap) => sum + (gap - middle) ** 2, 0) / (gaps.length - 1)
  const error = Math.sqrt(variance / gaps.length)
  const at = gaps.length - LEAST_DAYS
  const reach = T_80[at]! * error
  const isSure = Math.abs(middle) > T_95[at]! * error
  return {
    gap: middle,
    low: middle - reach,
    high: middle + reach,
    days: gaps.length,
    weak: isSure ? (middle > 0 ? 'left' : 'right') : null,
  }
}
