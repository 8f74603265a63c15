import { median, normalShare } from './statistics'
import type { TrendPoint } from './trendPoint'

export const VERDICTS = ['insufficient', 'progress', 'decline', 'plateau', 'unclear'] as const
/** What the data support saying about an exercise; `unclear` and `insufficient` say that they do not. */
export type Verdict = (typeof VERDICTS)[number]

/** Where an exercise is going. */
export interface Trend {
  readonly verdict: Verdict
  /** Change per week as a share: 0.01 is one percent. */
  readonly slope: number
  /** Standard error of the slope, the same unit. */
  readonly error: number
  /** Probability that the slope is above zero, 0 to 1. */
  readonly probability: number
  readonly count: number
  readonly spanWeeks: number
}

/** Least data, and what a verdict takes. Units: points, weeks, share per week. Source: docs/methods.md#trend. */
export const TREND = {
  leastPoints: 5,
  leastWeeks: 2,
  mostPoints: 12,
  windowDays: 56,
  rise: 0.0025,
  fall: -0.003,
  sure: 0.8,
  flat: 0.0025,
  flatError: 0.005,
  theilSen: 1.05,
  priorWeight: 4,
  spreadOfMedian: 1.4826,
} as const
/** How far a single estimate usually scatters, by reps to failure. */
const SCATTER = [
  [10, 0.03],
  [15, 0.04],
  [Infinity, 0.05],
] as const

function priorScatter(points: readonly TrendPoint[]): number {
  const reps = median(points.map(({ repsToFailure }) => repsToFailure))
  return SCATTER.find(([most]) => reps <= most)?.[1] ?? 0.05
}

interface Line {
  readonly slope: number
  readonly base: number
}

/** Median of pairwise slopes within a line, then of what is left; in the order of weeks. Called for every exercise of every rehearsed rotation, so written without lists of its own. */
function lineThrough(weeks: Float64Array, ys: Float64Array, lines: Uint8Array): Line {
  const count = weeks.length
  const slopes = new Float64Array((count * (count - 1)) / 2)
  let found = 0
  for (let at = 0; at < count; at++) {
    for (let later = at + 1; later < count; later++) {
      const gap = weeks[later]! - weeks[at]!
      if (gap > 0 && lines[at] === lines[later]) slopes[found++] = (ys[later]! - ys[at]!) / gap
    }
  }
  const slope = found > 0 ? median(slopes.subarray(0, found)) : 0
  return { slope, base: count > 0 ? median(without(ys, weeks, slope)) : 0 }
}

/** Sum of squared distances from the mean. */
function squaredSpread(values: ArrayLike<number>): number {
  let [sum, squares] = [0, 0]
  for (let at = 0; at < values.length; at++) sum += values[at]!
  const mean = sum / values.length
  for (let at = 0; at < values.length; at++) squares += (values[at]! - mean) ** 2
  return squares
}

/** Values line by line. */
function byLine(values: Float64Array, lines: Uint8Array): readonly ArrayLike<number>[] {
  if (lines.every(line => line === 0)) return [values]
  return [...new Set(lines)].map(line => values.filter((_, at) => lines[at] === line))
}

const spanOf = (weeks: ArrayLike<number>): number =>
  weeks.length > 0 ? weeks[weeks.length - 1]! - weeks[0]! : 0

/** What a slope leaves of each value. */
function without(ys: Float64Array, weeks: Float64Array, slope: number): Float64Array {
  const left = new Float64Array(ys.length)
  for (let at = 0; at < ys.length; at++) left[at] = ys[at]! - slope * weeks[at]!
  return left
}

/** A line through points that a few wild ones do not bend: the median of pairwise slopes, then of what is left. */
export function robustLine(points: readonly { readonly week: number; readonly y: number }[]): Line {
  const ordered = [...points].sort((a, b) => a.week - b.week)
  return lineThrough(
    Float64Array.from(ordered, ({ week }) => week),
    Float64Array.from(ordered, ({ y }) => y),
    new Uint8Array(ordered.length),
  )
}

const isInOrder = (points: readonly TrendPoint[]) =>
  points.every(({ week }, at) => at === 0 || (points[at - 1]?.week ?? 0) <= week)

/**
 * Robust trend of an exercise's RIR-adjusted estimate; points are compared within their line only.
 *
 * Shape:  points in any order; the caller leaves out deloads, painful sessions and what lies more than 56 days back.
 * Units:  share of the value per week.
 * Edge:   fewer than 5 points or under 2 weeks give `insufficient`, with slope 0 where none can be drawn.
 * Source: docs/methods.md#trend (median of pairwise slopes, scatter shrunk to a prior); examples.
 */
export function exerciseTrend(all: readonly TrendPoint[]): Trend {
  const points = tied(
    (isInOrder(all) ? all : [...all].sort((a, b) => a.week - b.week)).slice(-TREND.mostPoints),
  )
  const count = points.length
  const lines = Uint8Array.from(points, ({ line }) => line ?? 0)
  const weeks = Float64Array.from(points, ({ week }) => week)
  const spanWeeks = byLine(weeks, lines).reduce((sum, own) => sum + spanOf(own), 0)
  if (count < TREND.leastPoints || spanWeeks < TREND.leastWeeks)
    return {
      verdict: 'insufficient',
      slope: 0,
      error: Infinity,
      probability: 0.5,
      count,
      spanWeeks,
    }
  const ys = Float64Array.from(points, ({ value }) => Math.log(value))
  const { slope } = lineThrough(weeks, ys, lines)
  // A slope and a level for each line are taken from the points.
  const free = count - 1 - new Set(lines).size
  const scatter =
    TREND.spreadOfMedian *
    median(
      byLine(without(ys, weeks, slope), lines).flatMap(own => {
        const middle = median(own)
        return Array.from(own, residual => Math.abs(residual - middle))
      }),
    )
  const sigma = Math.sqrt(
    (TREND.priorWeight * priorScatter(points) ** 2 + free * scatter ** 2) /
      (free + TREND.priorWeight),
  )
  const spread = byLine(weeks, lines).reduce((sum, own) => sum + squaredSpread(own), 0)
  const error = (TREND.theilSen * sigma) / Math.sqrt(spread)
  const { verdict, probability } = judged(slope, error)
  return { verdict, slope, error, probability, count, spanWeeks }
}

/** Points that have another on their line to be compared with. */
function tied(points: readonly TrendPoint[]): readonly TrendPoint[] {
  if (points.every(({ line }) => line === undefined)) return points
  return points.filter((point, at) =>
    points.some((other, there) => there !== at && (other.line ?? 0) === (point.line ?? 0)),
  )
}

function judged(
  slope: number,
  error: number,
): Pick<Trend, 'verdict' | 'slope' | 'error' | 'probability'> {
  const probability = normalShare(slope / error)
  return { verdict: verdictOf(slope, error, probability), slope, error, probability }
}

function verdictOf(slope: number, error: number, probability: number): Verdict {
  if (slope >= TREND.rise && probability >= TREND.sure) return 'progress'
  if (slope <= TREND.fall && probability <= 1 - TREND.sure) return 'decline'
  return Math.abs(slope) < TREND.flat && error <= TREND.flatError ? 'plateau' : 'unclear'
}

/** Extra scatter between exercises of one group. */
const BETWEEN = 0.003

/**
 * The verdict on a group, pooled over the exercises that train it directly.
 *
 * Edge:   a member that rises and one that falls are `mixed`; no member with enough data is `insufficient`.
 * Source: docs/methods.md#trend; examples.
 */
export function pooledTrend(
  members: readonly Trend[],
): Omit<Trend, 'verdict'> & { readonly verdict: Verdict | 'mixed' } {
  let [total, weighted, count, spanWeeks, unused] = [0, 0, 0, 0, 0]
  let [rises, falls] = [false, false]
  for (const trend of members) {
    if (trend.verdict === 'insufficient') {
      unused += trend.count
      continue
    }
    const weight = 1 / (trend.error ** 2 + BETWEEN ** 2)
    total += weight
    weighted += weight * trend.slope
    count += trend.count
    spanWeeks = Math.max(spanWeeks, trend.spanWeeks)
    rises ||= trend.verdict === 'progress'
    falls ||= trend.verdict === 'decline'
  }
  if (total === 0)
    return {
      verdict: 'insufficient',
      slope: 0,
      error: Infinity,
      probability: 0.5,
      count: unused,
      spanWeeks,
    }
  const { verdict, slope, error, probability } = judged(weighted / total, 1 / Math.sqrt(total))
  return {
    verdict: rises && falls ? 'mixed' : verdict,
    slope,
    error,
    probability,
    count,
    spanWeeks,
  }
}
