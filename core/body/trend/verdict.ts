import { normalShare } from '../log'
import { evidenceOf } from './evidence'
import { type Observed, type Slope, slopeOf } from './slope'

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

/** Days with an observation, in their order. */
function daysOf(all: readonly Observed[]): readonly number[] {
  const days: number[] = []
  for (const { day } of all) if (days.at(-1) !== day) days.push(day)
  return days
}

const isEnough = (days: readonly number[]) =>
  days.length >= TREND.leastDays &&
  (days.at(-1) ?? 0) - (days[0] ?? 0) >= TREND.leastWeeks * DAYS_PER_WEEK

/** What one look at the evidence says; undefined where it says nothing. */
function lookedAt({ slope, error }: Slope): 'progress' | 'decline' | 'plateau' | undefined {
  const { up, down, flat } = evidenceOf(slope, error)
  if (up >= TREND.speaks) return 'progress'
  if (down >= TREND.speaks) return 'decline'
  return flat >= TREND.surelyFlat ? 'plateau' : undefined
}

/**
 * One look at what has been observed since the last verdict: it stays until the evidence speaks for something else, which then
 * begins anew.
 *
 * Shape: observations in the order of their days; looks may come as often as one likes.
 */
export function lookOn(before: Called, all: readonly Observed[]): Called {
  return lookedOn(before, all).called
}

/** The same with the slope it was said from; undefined while there is too little to fit one. */
export function lookedOn(
  before: Called,
  all: readonly Observed[],
): { readonly called: Called; readonly fit: Slope | undefined } {
  const own = before.from === -Infinity ? all : all.filter(({ day }) => day > before.from)
  if (!isEnough(daysOf(own))) return { called: before, fit: undefined }
  const fit = slopeOf(own)
  const said = lookedAt(fit)
  if (said === undefined) return { called: before, fit }
  const today = own.at(-1)!.day
  const called = {
    ...(said === before.verdict ? before : { verdict: said, since: today }),
    from: said === 'plateau' ? before.from : today,
  }
  return { called, fit }
}

/** Looks after every day. */
function calledOver(all: readonly Observed[], days: readonly number[]): Called {
  return days.reduce(
    (before, today) =>
      lookOn(
        before,
        all.filter(({ day }) => day <= today),
      ),
    NOTHING_CALLED,
  )
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
  const days = daysOf(all)
  const spanWeeks = ((days.at(-1) ?? 0) - (days[0] ?? 0)) / DAYS_PER_WEEK
  const known = { ...UNKNOWN_TREND, count: days.length, spanWeeks }
  if (!isEnough(days)) return days.length > 1 ? { ...known, ...slopeOf(all) } : known
  const fit = slopeOf(all)
  const { verdict, since, from } = calledOver(all, days)
  const later = all.filter(({ day }) => day > from)
  const fresh = later.length === all.length ? fit : slopeOf(later)
  const { up, down } = later.length > 0 ? evidenceOf(fresh.slope, fresh.error) : UNKNOWN_TREND
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
