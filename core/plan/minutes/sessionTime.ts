import { type GroupingId, remembered } from '../../base'
import { asEstimated, type PlanContext } from '../method'
import type { Session } from '../session'
import { type Case, sessionSeconds, sessionSpans, type SpanKind, type TimeSpan } from './timeline'

/** Time of one grouping, split as the strip draws it. Units: seconds. */
export interface GroupingTime {
  readonly grouping: GroupingId
  readonly seconds: number
  readonly setup: number
  readonly warmup: number
  readonly work: number
  readonly rest: number
}

/** Time of a session. Units: seconds. */
export interface SessionTime {
  readonly seconds: number
  /** With the fewest and the most sets that the plan leaves open. */
  readonly low: number
  readonly high: number
  readonly generalWarmup: number
  readonly groupings: readonly GroupingTime[]
  /** Between groupings. */
  readonly transitions: number
  /** Share of the time that rests on defaults, 0 to 1. */
  readonly assumedShare: number
  /** What happens when, with the number of sets the plan counts with. */
  readonly spans: readonly TimeSpan[]
}

function sumOf(spans: readonly TimeSpan[], ...kinds: readonly SpanKind[]): number {
  return spans.reduce(
    (sum, { kind, seconds }) => sum + (kinds.length === 0 || kinds.includes(kind) ? seconds : 0),
    0,
  )
}

function groupingTimes(spans: readonly TimeSpan[]): readonly GroupingTime[] {
  const byGrouping = new Map<GroupingId, TimeSpan[]>()
  for (const span of spans) {
    if (!span.grouping) continue
    const known = byGrouping.get(span.grouping)
    if (known) known.push(span)
    else byGrouping.set(span.grouping, [span])
  }
  return [...byGrouping].map(([grouping, own]) => ({
    grouping,
    seconds: sumOf(own),
    setup: sumOf(own, 'setup'),
    warmup: sumOf(own, 'warmup'),
    work: sumOf(own, 'set'),
    rest: sumOf(own, 'rest', 'inside', 'transition'),
  }))
}

function isOpen(session: Session): boolean {
  return (
    session.preparation?.some(({ onlyIf }) => onlyIf !== undefined) === true ||
    session.groupings.some(
      ({ onlyIf, turn, slots }) =>
        onlyIf !== undefined ||
        turn !== undefined ||
        slots.some(({ scheme }) =>
          scheme.runs.some(run => run.countRange !== undefined || run.onlyIf !== undefined),
        ),
    )
  )
}

/**
 * How long a session takes: warm-up, set-up, sets, rests and ways.
 *
 * Units:  seconds, as the client takes them where her log tells (`ClientFacts.times`), else as estimated.
 * Edge:   no exercises give no time; a choice of sets and conditional parts give a range.
 * Source: docs/methods.md#minutes; examples T7 to T16 in minutes.test.ts.
 */
export const sessionTime = remembered((session: Session, context: PlanContext): SessionTime => {
  const spans = sessionSpans(session, context)
  const seconds = sumOf(spans)
  const within = (which: Case) => sumOf(sessionSpans(session, context, which))
  const [low, high] = isOpen(session) ? [within('low'), within('high')] : [seconds, seconds]
  const assumed = spans.reduce((sum, span) => sum + span.assumed, 0)
  return {
    seconds,
    low,
    high: Math.max(high, seconds),
    generalWarmup: sumOf(spans, 'preparation'),
    transitions: spans.reduce(
      (sum, { kind, grouping, seconds: own }) =>
        sum + (kind === 'transition' && !grouping ? own : 0),
      0,
    ),
    groupings: groupingTimes(spans),
    assumedShare: seconds === 0 ? 0 : assumed / seconds,
    spans,
  }
})

/** How long a session takes one client: what is estimated, and the middle 80 % of how it has gone. Units: seconds. */
export interface OwnSessionTime {
  readonly estimated: number
  /** null where the log does not tell yet. */
  readonly own: { readonly low: number; readonly high: number } | null
}

/** Estimate and own time of a session side by side, for words. */
export function ownSessionTime(session: Session, context: PlanContext): OwnSessionTime {
  const { times } = context.client
  const estimated = sessionSeconds(session, asEstimated(context))
  if (!times) return { estimated, own: null }
  const seconds = sessionSeconds(session, context)
  return { estimated, own: { low: seconds * times.low, high: seconds * times.high } }
}
