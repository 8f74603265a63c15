import { normalShare } from '../log'
import { evidenceOf } from './evidence'
import { type Observed, type Series, seriesOf, type Slope, slopeWithin } from './slope'

export const VERDICTS = ['insufficient', 'progress', 'decline', 'plateau', 'unclear'] as const
/** What the data support saying; `unclear` and `insufficient` say that they do not. */
export type Verdict = (typeof VERDICTS)[number]

/** Where an exercise or a muscle is going. */
export interface Trend extends Slope {
  readonly verdict: Verdict
  /** Day the verdict began to hold, as the observations count days; null while there is none. */
  readonly since: number | null
  /** Evidence for a rise and for a fall since the last verdict; 20 or more speaks. */
  readonly up: number
  readonly down: number
  /** Probability that the slope is above zero, 0 to 1. */
  readonly probability: number
  /** A word for the eye, never the reason of a rule. */
  readonly leaning: 'up' | 'down' | null
  /** Days with a value, and what they span. */
  readonly count: number
  readonly spanWeeks: number
}

/** What a verdict takes. Source: docs/methods.md#trend. */
export const TREND = {
  leastDays: 6,
  leastWeeks: 3,
  speaks: 20,
  surelyFlat: 0.8,
  leans: 1.645,
  windowDays: 98,
  /** Sessions a rise of 1 % a week takes to show, about. */
  usualSessions: 16,
} as const
const DAYS_PER_WEEK = 7

export const UNKNOWN_TREND: Trend = {
  verdict: 'insufficient',
  since: null,
  slope: 0,
  error: Infinity,
  up: 1,
  down: 1,
  probability: 0.5,
  leaning: null,
  count: 0,
  spanWeeks: 0,
}

/** What was said last, since when, and from when on evidence is gathered anew. */
export interface Called {
  readonly verdict: Verdict
  readonly since: number | null
  readonly from: number
}
export const NOTHING_CALLED: Called = { verdict: 'unclear', since: null, from: -Infinity }

/** Different days from one index up to another. */
function daysWithin({ days }: Series, from: number, to: number): number {
  let count = 0
  for (let i = from; i < to; i++) if (i === from || days[i] !== days[i - 1]) count++
  return count
}

const spanWithin = ({ days }: Series, from: number, to: number) =>
  from < to ? days[to - 1]! - days[from]! : 0

const isEnough = (series: Series, from: number, to: number) =>
  spanWithin(series, from, to) >= TREND.leastWeeks * DAYS_PER_WEEK &&
  daysWithin(series, from, to) >= TREND.leastDays

/** The first index after a day. */
function indexAfter({ days, count }: Series, day: number): number {
  let at = 0
  while (at < count && days[at]! <= day) at++
  return at
}

/** What one look at the evidence says; undefined where it says nothing. */
function lookedAt({ slope, error }: Slope): 'progress' | 'decline' | 'plateau' | undefined {
  const { up, down, flat } = evidenceOf(slope, error)
  if (up >= TREND.speaks) return 'progress'
  if (down >= TREND.speaks) return 'decline'
  return flat >= TREND.surelyFlat ? 'plateau' : undefined
}

/** What was said after a look, and the slope it was said from; none while there is too little to fit one. */
interface Looked {
  readonly called: Called
  readonly fit: Slope | undefined
}

/**
 * One look at what has been observed since the last verdict: it stays until the evidence speaks for something else, which then
 * begins anew.
 *
 * Shape: observations in the order of their days; looks may come as often as one likes.
 */
export function lookedOn(before: Called, all: readonly Observed[]): Looked {
  return lookedWithin(before, seriesOf(all), all.length)
}

/** The same at the observations of a series up to an index. */
function lookedWithin(before: Called, series: Series, to: number): Looked {
  const from = Math.min(to, indexAfter(series, before.from))
  if (!isEnough(series, from, to)) return { called: before, fit: undefined }
  const fit = slopeWithin(series, from, to)
  const said = lookedAt(fit)
  if (said === undefined) return { called: before, fit }
  const today = series.days[to - 1]!
  const called = {
    ...(said === before.verdict ? before : { verdict: said, since: today }),
    from: said === 'plateau' ? before.from : today,
  }
  return { called, fit }
}

/** Looks after every day. */
function calledOver(series: Series): Called {
  const { days, count } = series
  let called = NOTHING_CALLED
  for (let to = 1; to <= count; to++)
    if (to === count || days[to] !== days[to - 1]) ({ called } = lookedWithin(called, series, to))
  return called
}

/**
 * Where strength is going, by a slope whose evidence may be looked at as often as one likes.
 *
 * Shape:  observations of one exercise, or of all that train a muscle, in the order of their days, of 98 days at most.
 * Units:  share a week; days as the observations have them.
 * Edge:   fewer than six days or three weeks are `insufficient`. Under a flat truth a rise or a fall is ever said in at most
 *         5 of 100 each, however often one looks.
 * Source: docs/methods.md#trend.
 */
export function trendOf(all: readonly Observed[]): Trend {
  const series = seriesOf(all)
  const { count } = series
  const spanWeeks = spanWithin(series, 0, count) / DAYS_PER_WEEK
  const known = { ...UNKNOWN_TREND, count: daysWithin(series, 0, count), spanWeeks }
  if (!isEnough(series, 0, count))
    return known.count > 1 ? { ...known, ...slopeWithin(series, 0, count) } : known
  const fit = slopeWithin(series, 0, count)
  const { verdict, since, from } = calledOver(series)
  const later = indexAfter(series, from)
  const fresh = later === 0 ? fit : slopeWithin(series, later, count)
  const { up, down } = later < count ? evidenceOf(fresh.slope, fresh.error) : UNKNOWN_TREND
  const z = fit.slope / fit.error
  return {
    ...known,
    ...fit,
    verdict,
    since,
    up,
    down,
    probability: normalShare(z),
    leaning: z >= TREND.leans ? 'up' : z <= -TREND.leans ? 'down' : null,
  }
}
