import { addDays, daysBetween, remembered } from '../../base'
import { type Group, GROUPS, JOINTS } from '../../plan/catalogue'
import { jointCeiling, jointLoads } from '../../body/joints'
import { countedWorkOfDay, rotationLedger, type RotationLedger } from '../../count/ledger'
import { bandOf, modeOf, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import {
  type BlockPass,
  type BlockSession,
  blockVerdict,
  type BlockVerdict,
  type ExpandedBlock,
} from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { sessionWorth } from '../../design/short'
import { mainGroupOf, missedSession, sessionsWithin } from './ahead'
import type { ReadinessOf } from './refill'
import {
  type Construction,
  HORIZON_DAYS,
  isAt,
  type Place,
  type Refilled,
  type Replan,
  type ReplanQuestion,
} from './replan'

/** Rotations before the missed one that a joint's rise is told against. */
const PASSES_BEFORE = 4
const FLOOR_SLACK = 0.5
const OVER_LIMIT_MINUTES = 5

type Changes = Pick<Construction, 'moves' | 'refilled' | 'dropped'>
const NOTHING: Changes = { moves: [], refilled: [], dropped: [] }

/** The rotations around the missed session with some sessions changed; their numbers begin at 0. */
function around(
  question: ReplanQuestion,
  { moves, refilled, dropped }: Changes,
  isMissedDone: boolean,
): ExpandedBlock {
  const { expanded, missed } = question
  const first = Math.max(0, missed.pass - PASSES_BEFORE)
  const isGone = (session: Place) =>
    dropped.some(isAt(session)) ||
    (!isMissedDone && isAt(missed)(session) && !moves.some(isAt(session)))
  const passes = expanded.passes.slice(first, missed.pass + 2).map((pass, at): BlockPass => {
    const sessions = pass.sessions.map((session): BlockSession => ({
      ...session,
      pass: at,
      on: moves.find(isAt(session))?.on ?? session.on,
      content: refilled.find(isAt(session))?.content ?? session.content,
      isSkipped: session.isSkipped || isGone(session),
    }))
    const isChanged = pass.sessions.some(session => isGone(session) || refilled.some(isAt(session)))
    return {
      ...pass,
      at,
      sessions,
      rotation: isChanged
        ? {
            ...pass.rotation,
            days: pass.rotation.days.map((day, d) => ({
              ...day,
              sessions: sessions
                .filter(session => session.day === d && !session.isSkipped)
                .map(({ content }) => content),
            })),
          }
        : pass.rotation,
    }
  })
  return { passes, from: passes[0]?.from ?? expanded.from, to: passes.at(-1)?.to ?? expanded.to }
}

const firstOf = ({ missed }: ReplanQuestion) => Math.max(0, missed.pass - PASSES_BEFORE)

function readinessIn(
  verdict: BlockVerdict,
  group: Group,
  { on, name }: Pick<BlockSession, 'on' | 'name'>,
): number | null {
  return (
    verdict.arrivals[group].find(arrival => arrival.on === on && arrival.name === name)
      ?.readiness ?? null
  )
}

/** How ready a muscle comes to a session if nothing but some refilling happens. */
export function readinessWithout(question: ReplanQuestion): ReadinessOf {
  const verdictOf = remembered((refilled: readonly Refilled[], context: PlanContext) =>
    blockVerdict(around(question, { ...NOTHING, refilled }, false), context),
  )
  return (group, session, refilled) =>
    readinessIn(verdictOf(refilled, question.context), group, session)
}

/** Counted sets of the missed session's rotation without it, per 7 days. */
export function countedWithout(question: ReplanQuestion): (group: Group) => number {
  const ledger = ledgerAt(question, NOTHING, false)
  return group => ledger.groups[group].week.counted.value
}

function ledgerAt(
  question: ReplanQuestion,
  changes: Changes,
  isMissedDone: boolean,
): RotationLedger {
  const pass = around(question, changes, isMissedDone).passes[
    question.missed.pass - firstOf(question)
  ]
  return rotationLedger(
    pass?.rotation ?? { kind: 'places', anchor: { kind: 'floating' }, days: [] },
    question.context,
  )
}

interface Judged {
  readonly cautions: number
  readonly stops: number
  readonly verdict: BlockVerdict
  readonly sessions: readonly BlockSession[]
}

/** What is to be wary of in the seven days after the missed day and in its rotation. */
function judged(question: ReplanQuestion, changes: Changes, isMissedDone: boolean): Judged {
  const { context, missed } = question
  const from = missedSession(question)?.on ?? question.today
  const to = addDays(from, HORIZON_DAYS)
  const block = around(question, changes, isMissedDone)
  const verdict = blockVerdict(block, context)
  const at = missed.pass - firstOf(question)
  const sessions = block.passes
    .slice(at)
    .flatMap(pass => pass.sessions)
    .filter(({ on, isSkipped }) => !isSkipped && on >= from && on <= to)
  const arrivals = GROUPS.flatMap(group => verdict.arrivals[group]).filter(
    ({ on, role }) => on >= from && on <= to && role !== 'indirect',
  )
  const ledger = verdict.passes[at]?.ledger
  const ramps = verdict.passes
    .slice(at)
    .flatMap(({ joints }) => JOINTS.map(joint => joints[joint].ramp.kind))
  const full = sessions.filter(({ content, minuteLimit }) => {
    const loads = jointLoads(
      countedWorkOfDay({ role: 'open', sessions: [content] }, context),
      context,
    )
    return (
      (minuteLimit !== undefined &&
        sessionSeconds(content, context) / 60 > minuteLimit + OVER_LIMIT_MINUTES) ||
      JOINTS.some(joint => loads[joint] > jointCeiling(joint, context).session)
    )
  })
  const usual = ledgerAt(question, NOTHING, true)
  // Who is under the floor as it is has the least to give: fewer sets still are as much to be wary of.
  const below = GROUPS.filter(group => {
    const counted = ledger?.groups[group].week.counted.value ?? Infinity
    const least = Math.min(bandOf(context, group).floor, usual.groups[group].week.counted.value)
    return counted < least - FLOOR_SLACK
  })
  return {
    verdict,
    sessions,
    stops: ramps.filter(kind => kind === 'too_steep').length,
    cautions:
      arrivals.filter(({ thread }) => thread !== 'whole').length +
      full.length +
      below.length +
      ramps.filter(kind => kind === 'steep').length,
  }
}

function keptShare(
  { refilled, moves, dropped, option }: Construction,
  missed: BlockSession,
  question: ReplanQuestion,
): number {
  const { context, expanded } = question
  const whole = sessionWorth(missed.content, context)
  const worthAt = (place: Place) => {
    const content = expanded.passes[place.pass]?.sessions.find(isAt(place))?.content
    return content ? sessionWorth(content, context) : 0
  }
  if (whole === 0) return 1
  // What a rotation begun anew leaves out is done in it.
  const lost =
    option === 'restart'
      ? 0
      : dropped
          .filter(place => !isAt(missed)(place))
          .reduce((sum, place) => sum + worthAt(place), 0)
  const gained =
    option === 'restart' || moves.some(isAt(missed))
      ? whole
      : refilled.reduce((sum, one) => sum + sessionWorth(one.content, context) - worthAt(one), 0)
  return Math.max(0, Math.min(1, (gained - lost) / whole))
}

function setsKept(
  { refilled, moves, option }: Construction,
  missed: BlockSession,
  { context }: ReplanQuestion,
): Replan['sets'] {
  const isMoved = option === 'restart' || moves.some(isAt(missed))
  return GROUPS.flatMap(group => {
    const of = sessionSlots(missed.content).reduce(
      (sum, slot) => sum + (mainGroupOf(slot, context) === group ? plannedSets(slot.scheme) : 0),
      0,
    )
    const kept = isMoved
      ? of
      : refilled
          .flatMap(({ sets }) => sets)
          .filter(one => one.group === group)
          .reduce((sum, { sets }) => sum + sets, 0)
    return of === 0 ? [] : [{ group, kept: Math.min(of, kept), of }]
  })
}

/** What other sessions lose to it. A rotation begun anew does in it what it leaves out. */
function othersLost(
  { dropped, option }: Construction,
  missed: BlockSession,
  question: ReplanQuestion,
): Replan['lost'] {
  if (option === 'restart') return []
  return dropped
    .filter(place => !isAt(missed)(place))
    .flatMap(place => question.expanded.passes[place.pass]?.sessions.find(isAt(place)) ?? [])
    .map(({ on, name, content }) => ({
      on,
      name,
      sets: sessionSlots(content).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
    }))
}

/** A construction beside the plan as it was: what is kept, what it costs, what is new to be wary of. */
export function compared(construction: Construction, question: ReplanQuestion): Replan | undefined {
  const missed = missedSession(question)
  if (!missed) return undefined
  const { context } = question
  const before = judged(question, NOTHING, true)
  const after = judged(question, construction, false)
  const from = missed.on
  const lowest = GROUPS.filter(group => modeOf(context, group) !== 'maintain')
    .flatMap(group => after.verdict.arrivals[group])
    .filter(({ on, role }) => on > from && on <= addDays(from, HORIZON_DAYS) && role !== 'indirect')
    .sort((a, b) => a.readiness - b.readiness)[0]
  const [longest] = after.sessions
    .filter(({ on }) => on > from)
    .map(session => ({ session, minutes: sessionSeconds(session.content, context) / 60 }))
    .sort((a, b) => b.minutes - a.minutes)
  const ramps = after.verdict.passes
    .slice(question.missed.pass - firstOf(question))
    .flatMap(({ joints }) =>
      JOINTS.flatMap(joint =>
        'ramp' in joints[joint].ramp ? [{ joint, ramp: joints[joint].ramp.ramp }] : [],
      ),
    )
  const moved = construction.moves.flatMap(move => [
    move.on,
    ...sessionsWithin(question)
      .filter(isAt(move))
      .map(({ on }) => on),
  ])
  const touched = [...construction.refilled, ...construction.dropped].flatMap(
    place => question.expanded.passes[place.pass]?.sessions.find(isAt(place))?.on ?? [],
  )
  const lastMove =
    [...construction.moves.map(({ on }) => on), question.expanded.to].sort().at(-1) ??
    question.expanded.to
  return {
    ...construction,
    kept: keptShare(construction, missed, question),
    sets: setsKept(construction, missed, question),
    lost: othersLost(construction, missed, question),
    lowest: lowest
      ? { group: lowest.group, on: lowest.on, name: lowest.name, readiness: lowest.readiness }
      : null,
    longest: longest
      ? {
          on: longest.session.on,
          name: longest.session.name,
          minutes: longest.minutes,
          limit: longest.session.minuteLimit ?? null,
        }
      : null,
    ramp: ramps.sort((a, b) => b.ramp - a.ramp)[0] ?? null,
    daysChanged: new Set([...moved, ...touched].filter(on => on !== from)).size,
    endsOn:
      construction.option === 'restart'
        ? addDays(question.expanded.to, restartDays(question))
        : lastMove,
    newStops: Math.max(0, after.stops - before.stops),
    newCautions: Math.max(0, after.cautions - before.cautions),
  }
}

/** Days the block goes on for if the rotation is gone through again. */
function restartDays({ expanded, missed }: ReplanQuestion): number {
  const pass = expanded.passes[missed.pass]
  return pass ? daysBetween(pass.from, pass.to) + 1 : 0
}
