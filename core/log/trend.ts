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
  leastPoints: 5, leastWeeks: 2, mostPoints: 12, windowDays: 56, rise: 0.0025, fall: -0.003, sure: 0.8, flat: 0.0025, flatError: 0.005, theilSen: 1.05, priorWeight: 4,
} as const
/** How far a single estimate usually scatters, by reps to failure. */
const SCATTER = [[10, 0.03], [15, 0.04], [Infinity, 0.05]] as const

function priorScatter(points: readonly TrendPoint[]): number {
  const reps = median(points.map(({ repsToFailure }) => repsToFailure))
  return SCATTER.find(([most]) => reps <= most)?.[1] ?? 0.05
}

/** A line through points that a few wild ones do not bend: the median of pairwise slopes, then of what is left. */
export function robustLine(points: readonly { readonly week: number, readonly y: number }[]): { readonly slope: number, readonly base: number } {
  const slopes = points.flatMap((a, at) => points.slice(at + 1).flatMap(b => (b.week > a.week ? [(b.y - a.y) / (b.week - a.week)] : [])))
  const slope = slopes.length > 0 ? median(slopes) : 0
  return { slope, base: points.length > 0 ? median(points.map(({ week, y }) => y - slope * week)) : 0 }
}

/**
 * Robust trend of an exercise's RIR-adjusted estimate.
 *
 * Shape:  points in any order; the caller leaves out deloads, painful sessions and what lies more than 56 days back.
 * Units:  share of the value per week.
 * Edge:   fewer than 5 points or under 2 weeks give `insufficient`, with slope 0 where none can be drawn.
 * Source: docs/methods.md#trend (median of pairwise slopes, scatter shrunk to a prior); examples.
 */
export function exerciseTrend(all: readonly TrendPoint[]): Trend {
  const points = [...all].sort((a, b) => a.week - b.week).slice(-TREND.mostPoints)
  const count = points.length
  const spanWeeks = count > 0 ? (points.at(-1)?.week ?? 0) - (points[0]?.week ?? 0) : 0
  if (count < TREND.leastPoints || spanWeeks < TREND.leastWeeks) return { verdict: 'insufficient', slope: 0, error: Infinity, probability: 0.5, count, spanWeeks }
  const logs = points.map(({ week, value }) => ({ week, y: Math.log(value) }))
  const { slope, base } = robustLine(logs)
  const residuals = logs.map(({ week, y }) => y - base - slope * week)
  const middle = median(residuals)
  const scatter = 1.4826 * median(residuals.map(residual => Math.abs(residual - middle)))
  const sigma = Math.sqrt((TREND.priorWeight * priorScatter(points) ** 2 + (count - 2) * scatter ** 2) / (count + TREND.priorWeight - 2))
  const mean = logs.reduce((sum, { week }) => sum + week, 0) / count
  const error = TREND.theilSen * sigma / Math.sqrt(logs.reduce((sum, { week }) => sum + (week - mean) ** 2, 0))
  return { ...judged(slope, error), count, spanWeeks }
}

function judged(slope: number, error: number): Pick<Trend, 'verdict' | 'slope' | 'error' | 'probability'> {
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
export function pooledTrend(members: readonly Trend[]): Omit<Trend, 'verdict'> & { readonly verdict: Verdict | 'mixed' } {
  const judgedOnes = members.filter(({ verdict }) => verdict !== 'insufficient')
  const count = judgedOnes.reduce((sum, trend) => sum + trend.count, 0)
  const spanWeeks = Math.max(0, ...judgedOnes.map(trend => trend.spanWeeks))
  if (judgedOnes.length === 0) return { verdict: 'insufficient', slope: 0, error: Infinity, probability: 0.5, count: members.reduce((sum, trend) => sum + trend.count, 0), spanWeeks }
  const weights = judgedOnes.map(({ error }) => 1 / (error ** 2 + BETWEEN ** 2))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const slope = judgedOnes.reduce((sum, trend, at) => sum + trend.slope * (weights[at] ?? 0), 0) / total
  const pooled = { ...judged(slope, 1 / Math.sqrt(total)), count, spanWeeks }
  const verdicts = new Set(judgedOnes.map(({ verdict }) => verdict))
  return verdicts.has('progress') && verdicts.has('decline') ? { ...pooled, verdict: 'mixed' } : pooled
}
