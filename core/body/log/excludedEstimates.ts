import { daysBetween, groupedBy, type PlainDate } from '../../base'
import type { SetUp } from '../../plan/scheme'
import type { SetValue } from './dayValue'
import { median } from './statistics'

/** An estimate of one exercise on one day. Units: kilograms. */
export interface DatedValue {
  readonly exercise: string
  readonly on: PlainDate
  readonly value: number
  readonly repsToFailure: number
  /** What each working set of the day says; left out, the value alone speaks. */
  readonly sets?: readonly SetValue[] | null
  /** Fatigue over capacity of its muscle before the session; null or left out where nobody reckoned it. */
  readonly tired?: number | null
  /** How the station was set up, where it was said that day. */
  readonly setUp?: SetUp | undefined
  /** How it was held or set up for its turn, in words; null or left out where it was as usual. */
  readonly heldAs?: string | null
}

export const LEFT_OUT = [
  'deload',
  'pain',
  'second_on_day',
  'before_gap',
  'outlier',
  'unit',
] as const
/** Why an estimate is kept in the log and not reckoned with. */
export type ExclusionReason = (typeof LEFT_OUT)[number]
export interface ExcludedEstimate extends DatedValue {
  readonly reason: ExclusionReason
}

export interface ExclusionFacts {
  /** Days of easier rotations, of events with light work. */
  readonly isDeload: (on: PlainDate) => boolean
  /** A joint of the exercise hurt at five or more on the day. */
  readonly isPainful: (exercise: string, on: PlainDate) => boolean
  /** What the coach has looked at and found right. */
  readonly isConfirmed: (value: DatedValue) => boolean
}

/** Share by which an estimate lies off its neighbours before it is questioned; others it is told against; days that begin anew. */
const SIFT = {
  off: 0.25,
  neighbours: 6,
  least: 3,
  gapDays: 42,
  poundsInKilogram: 2.2046,
  unitSlack: 0.12,
} as const

interface Placed<One> {
  readonly one: One
  readonly day: number
}

/** The estimates nearest in time to one, the one itself left out; all in the order of their days. */
function neighboursOf<One>(at: number, all: readonly Placed<One>[]): readonly Placed<One>[] {
  const day = all[at]?.day ?? 0
  return [
    ...all.slice(Math.max(0, at - SIFT.neighbours), at),
    ...all.slice(at + 1, at + 1 + SIFT.neighbours),
  ]
    .sort((a, b) => Math.abs(a.day - day) - Math.abs(b.day - day))
    .slice(0, SIFT.neighbours)
}

function questioned<One extends DatedValue>(
  at: number,
  all: readonly Placed<One>[],
): 'outlier' | 'unit' | undefined {
  const near = neighboursOf(at, all)
  if (near.length < SIFT.least) return undefined
  const off = Math.log((all[at]?.one.value ?? 1) / median(near.map(({ one }) => one.value)))
  if (Math.abs(off) <= SIFT.off) return undefined
  return Math.abs(Math.abs(off) - Math.log(SIFT.poundsInKilogram)) < SIFT.unitSlack
    ? 'unit'
    : 'outlier'
}

/** Of two sessions on a day the first one speaks; what lies before a long gap is another beginning. */
function reasonFor(
  one: DatedValue,
  own: readonly DatedValue[],
  gapEnd: PlainDate | undefined,
  facts: ExclusionFacts,
): ExclusionReason | undefined {
  if (facts.isDeload(one.on)) return 'deload'
  if (facts.isPainful(one.exercise, one.on)) return 'pain'
  if (
    own.some(other => other !== one && other.on === one.on && own.indexOf(other) < own.indexOf(one))
  )
    return 'second_on_day'
  return gapEnd !== undefined && one.on < gapEnd ? 'before_gap' : undefined
}

/** The first day after the last gap of six weeks. */
function afterGap(own: readonly DatedValue[]): PlainDate | undefined {
  const days = [...new Set(own.map(({ on }) => on))].sort()
  return days.findLast((on, at) => at > 0 && daysBetween(days[at - 1] ?? on, on) >= SIFT.gapDays)
}

/**
 * Estimates a trend may go by, and those it leaves out with the reason.
 *
 * Shape:  both in the order given; nothing is lost.
 * Edge:   what lies a quarter off its neighbours is questioned and not used until the coach confirms it; with fewer than
 *         three neighbours nothing is.
 * Source: docs/methods.md#left-out.
 */
export function splitByUse<One extends DatedValue>(
  values: readonly One[],
  facts: ExclusionFacts,
): {
  readonly used: readonly One[]
  readonly leftOut: readonly (One & { readonly reason: ExclusionReason })[]
} {
  const reasons = new Map<One, ExclusionReason>()
  for (const own of groupedBy(values, ({ exercise }) => exercise).values()) {
    const gapEnd = afterGap(own)
    for (const one of own) {
      const reason = reasonFor(one, own, gapEnd, facts)
      if (reason) reasons.set(one, reason)
    }
    const plausible = own
      .filter(one => !reasons.has(one))
      .map(one => ({ one, day: daysBetween(own[0]?.on ?? one.on, one.on) }))
      .sort((a, b) => a.day - b.day)
    for (const [at, { one }] of plausible.entries()) {
      const doubt = facts.isConfirmed(one) ? undefined : questioned(at, plausible)
      if (doubt) reasons.set(one, doubt)
    }
  }
  return {
    used: values.filter(one => !reasons.has(one)),
    leftOut: values.flatMap(one => {
      const reason = reasons.get(one)
      return reason ? [{ ...one, reason }] : []
    }),
  }
}
