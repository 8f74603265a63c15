import { addDays } from '../../base'
import {
  MOST_PASSES,
  passDates,
  withException,
  withOneOff,
  withPart,
  type PlanDocument,
} from '../../plan/block'
import { compared, countedWithout, readinessWithout } from './compare'
import { merged, spread } from './refill'
import {
  type Construction,
  isAt,
  type Place,
  type Replan,
  REPLAN_OPTIONS,
  type ReplanQuestion,
} from './replan'
import { shifted } from './shift'
import { missedSession, sessionsAhead } from './ahead'

const KEPT_STEP = 0.05

/** The best first: nothing that must stop, little to be wary of, much kept, few days changed. Source: docs/methods.md#missed-session; example A-17. */
export function rankedReplans<
  One extends Pick<Replan, 'option' | 'newStops' | 'newCautions' | 'kept' | 'daysChanged'>,
>(all: readonly One[]): readonly One[] {
  const key = ({ option, newStops, newCautions, kept, daysChanged }: One) => [
    Math.min(1, newStops),
    newCautions,
    -Math.round(kept / KEPT_STEP),
    daysChanged,
    REPLAN_OPTIONS.indexOf(option),
  ]
  return [...all].sort((a, b) => {
    const [left, right] = [key(a), key(b)]
    const at = left.findIndex((value, place) => value !== right[place])
    return at < 0 ? 0 : left[at]! - right[at]!
  })
}

const DROP: Construction = { option: 'drop', moves: [], refilled: [], dropped: [] }

/**
 * What can be done about a missed session, each way worked out and set beside the others; the best first.
 *
 * Edge:   of two or more missed within a week only a shift, letting go and beginning the week anew are offered;
 *         where nothing lies ahead any more it can only be let go.
 * Source: docs/methods.md#missed-session; examples.
 */
export function replans(question: ReplanQuestion): readonly Replan[] {
  const missed = missedSession(question)
  if (!missed) return []
  const isLate = addDays(missed.on, 7) < question.today
  if (isLate || sessionsAhead(question).length === 0)
    return [DROP].flatMap(one => compared(one, question) ?? [])
  const restart: Construction = {
    ...DROP,
    option: 'restart',
    dropped: sessionsAhead(question)
      .filter(({ pass }) => pass === question.missed.pass)
      .map(({ pass, day, place }) => ({ pass, day, place })),
  }
  const constructions =
    question.missedLately >= 2
      ? [
          shifted(question),
          DROP,
          ...(question.expanded.passes.length < MOST_PASSES ? [restart] : []),
        ]
      : [
          shifted(question),
          merged(question),
          DROP,
          spread(question, readinessWithout(question), countedWithout(question)),
        ]
  const all = constructions.flatMap(one => (one ? (compared(one, question) ?? []) : []))
  return rankedReplans(
    all.filter(
      ({ option, refilled }) => (option !== 'merge' && option !== 'spread') || refilled.length > 0,
    ),
  )
}

/**
 * The plan with a rotation more: what is left of this one is left out, and the next one is gone through whole.
 *
 * What was said about later rotations goes with them.
 */
function withRotationMore(
  plan: PlanDocument,
  missed: Place,
  dropped: readonly Place[],
): PlanDocument {
  const { block = {} } = plan
  const later = (pass: number) => (pass > missed.pass ? pass + 1 : pass)
  const withLater = withPart(
    withPart(block, 'deloads', block.deloads?.map(later)),
    'exceptions',
    block.exceptions?.map(exception => ({ ...exception, pass: later(exception.pass) })),
  )
  const moved = withPart(
    withLater,
    'changes',
    block.changes?.map(({ to, ...change }) => ({
      ...change,
      from: later(change.from),
      ...(to !== undefined && { to: later(to) }),
    })),
  )
  return {
    ...plan,
    passes: plan.passes + 1,
    block: dropped.reduce(
      (held, { pass, day, place }) => withException(held, { kind: 'dropped', pass, day, place }),
      moved,
    ),
  }
}

/**
 * A plan with one of them chosen.
 *
 * Shape: moves and left-out sessions are exceptions of their rotations, taken-over sets are one-off sessions of their dates.
 * Edge:  letting go of what is past leaves the plan as it is; what will be missed is taken out of its rotation, so that nobody is sent it.
 */
export function withReplan(
  plan: PlanDocument,
  { moves, refilled, dropped, option }: Replan,
  question: ReplanQuestion,
): PlanDocument {
  const block = plan.block ?? {}
  if (option === 'restart') return withRotationMore(plan, question.missed, dropped)
  const { missed, today } = question
  const isAhead = (missedSession(question)?.on ?? today) >= today && !moves.some(isAt(missed))
  const gone = isAhead ? [...dropped, missed] : dropped
  const withMoves = moves.reduce(
    (held, { pass, day, place, on }) =>
      withException(held, { kind: 'moved', pass, day, place, on }),
    block,
  )
  const exceptions = gone.reduce(
    (held, { pass, day, place }) => withException(held, { kind: 'dropped', pass, day, place }),
    withMoves,
  )
  const withBlock = exceptions === block ? plan : { ...plan, block: exceptions }
  const dates = passDates(plan)
  return refilled.reduce((held, one) => {
    const session = plan.rotation.days[one.day]?.sessions[one.place]
    const on = dates[one.pass]?.[one.day]
    return session && on
      ? withOneOff(held, {
          on,
          session: session.id,
          reason: 'other',
          content: { ...one.content, id: session.id },
        })
      : held
  }, withBlock)
}
