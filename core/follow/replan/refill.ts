import { ARM_GROUPS, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { mayGrow } from '../../body/joints'
import { bandOf, intentFor, type Mode, modeOf } from '../../plan/method'
import type { BlockSession } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import {
  isWithinLimits,
  mainGroupOf,
  missedSession,
  sessionsWithin,
  setsFor,
  withOneSet,
} from './ahead'
import type { Construction, Refilled, ReplanQuestion } from './replan'

/** Work of a missed session that looks for a place: one entry for each exercise with a main muscle. */
interface LostWork {
  readonly slot: Slot
  readonly group: Group
  readonly sets: number
}

function lostWork(missed: BlockSession, { context }: ReplanQuestion): readonly LostWork[] {
  return sessionSlots(missed.content).flatMap(slot => {
    const group = mainGroupOf(slot, context)
    const sets = plannedSets(slot.scheme)
    return group && sets > 0 ? [{ slot, group, sets }] : []
  })
}

interface Filled {
  readonly session: BlockSession
  readonly content: Session
  readonly sets: ReadonlyMap<Group, number>
}
type Fillings = readonly Filled[]

function filledWith(
  fillings: Fillings,
  session: BlockSession,
  { slot, group }: LostWork,
  question: ReplanQuestion,
): Fillings | undefined {
  const held = fillings.find(filled => filled.session === session) ?? {
    session,
    content: session.content,
    sets: new Map<Group, number>(),
  }
  const { context } = question
  const exercise = requireExercise(context.catalogue, slot.exercise)
  // What was missed is not made up on a sore joint.
  if (!mayGrow(intentFor(context, exercise, slot.intent).jointStress, context)) return undefined
  const content = withOneSet(held.content, slot, context)
  if (!isWithinLimits(content, group, session, context)) return undefined
  return [
    ...fillings.filter(filled => filled.session !== session),
    { session, content, sets: new Map([...held.sets, [group, (held.sets.get(group) ?? 0) + 1]]) },
  ]
}

function constructed(option: 'merge' | 'spread', fillings: Fillings): Construction {
  const refilled = fillings.map(({ session: { pass, day, place }, content, sets }): Refilled => ({
    pass,
    day,
    place,
    content,
    sets: [...sets].map(([group, count]) => ({ group, sets: count })),
  }))
  return { option, moves: [], refilled, dropped: [] }
}

const isForArms = ({ role }: BlockSession, group: Group) =>
  (role === 'arms' || role === 'upper') && (ARM_GROUPS as readonly Group[]).includes(group)

/**
 * The work that matters most put into the next session that trains the muscle anyway, or is one for arms, until something is full.
 *
 * Shape:  muscles that are built up first, then those that are kept; in the order of the missed session.
 * Source: docs/methods.md#missed-session; example A-15.
 */
export function merged(question: ReplanQuestion): Construction | undefined {
  const missed = missedSession(question)
  if (!missed) return undefined
  const ahead = sessionsWithin(question)
  const work = lostWork(missed, question)
  const wanted = (['build', 'keep'] as const).flatMap(mode =>
    work.filter(({ group }) => modeOf(question.context, group) === mode),
  )
  const fillings = wanted.reduce<Fillings>((held, lost) => {
    const host = ahead.find(
      session =>
        isForArms(session, lost.group) ||
        setsFor(session.content, lost.group, question.context) > 0,
    )
    let now = held
    for (let left = host ? lost.sets : 0; host && left > 0; left--)
      now = filledWith(now, host, lost, question) ?? now
    return now
  }, [])
  return constructed('merge', fillings)
}

const PRIORITY: Readonly<Record<Mode, number>> = { build: 3, keep: 2, maintain: 1 }
/** Sets a muscle may get more in one session. */
const MOST_MORE = 2
/** Percent at the next exposure after the change. */
const LEAST_READY = 80

export interface SpreadQuestion {
  readonly sets: number
  /** Sessions that could take some, with how ready the muscle comes to each. */
  readonly hosts: readonly { readonly key: string; readonly readiness: number }[]
  /** Gives a session one set more; false if it may not have it. */
  readonly give: (key: string) => boolean
}

/**
 * Where the sets of one muscle go: one at a time to the readiest session that may take another, two at most to each.
 *
 * Source: docs/methods.md#missed-session; example A-16.
 */
export function spreadSets({ sets, hosts, give }: SpreadQuestion): ReadonlyMap<string, number> {
  const given = new Map<string, number>()
  const byReadiness = [...hosts].sort((a, b) => b.readiness - a.readiness)
  for (let left = sets; left > 0; left--) {
    const host = byReadiness.find(({ key }) => (given.get(key) ?? 0) < MOST_MORE && give(key))
    if (!host) break
    given.set(host.key, (given.get(host.key) ?? 0) + 1)
  }
  return given
}

/** How ready a muscle comes to sessions, with some of them filled up. Percent; null where a session does not work it. */
export type ReadinessOf = (
  group: Group,
  session: BlockSession,
  refilled: readonly Refilled[],
) => number | null

/** The muscle furthest under its target first, weighed by how much it matters. */
function byNeed(
  work: readonly LostWork[],
  { context }: ReplanQuestion,
  counted: (group: Group) => number,
): readonly Group[] {
  const need = (group: Group) =>
    Math.max(0, bandOf(context, group).target - counted(group)) * PRIORITY[modeOf(context, group)]
  return GROUPS.filter(group => work.some(lost => lost.group === group)).sort(
    (a, b) => need(b) - need(a),
  )
}

/**
 * The sets of every muscle over the next seven days, each to the session the muscle comes to best.
 *
 * Edge:   a session takes two more at most, and none that would leave the muscle under 80 % at the exposure after it.
 */
export function spread(
  question: ReplanQuestion,
  readiness: ReadinessOf,
  counted: (group: Group) => number,
): Construction | undefined {
  const missed = missedSession(question)
  if (!missed) return undefined
  const ahead = sessionsWithin(question)
  const work = lostWork(missed, question)
  const fillings = byNeed(work, question, counted).reduce<Fillings>((held, group) => {
    let now = held
    const left = work
      .filter(lost => lost.group === group)
      .flatMap(lost => Array.from({ length: lost.sets }, () => lost))
    const { refilled } = constructed('spread', now)
    const hosts = ahead.flatMap((session, at) => {
      const ready = readiness(group, session, refilled)
      return ready === null ? [] : [{ key: String(at), readiness: ready }]
    })
    spreadSets({
      sets: left.length,
      hosts,
      give: key => {
        const [session, lost] = [ahead[Number(key)], left[0]]
        const next = session && lost && filledWith(now, session, lost, question)
        if (
          !next ||
          !stillReady(group, session, ahead, constructed('spread', next).refilled, readiness)
        )
          return false
        left.shift()
        now = next
        return true
      },
    })
    return now
  }, [])
  return constructed('spread', fillings)
}

function stillReady(
  group: Group,
  host: BlockSession,
  ahead: readonly BlockSession[],
  refilled: readonly Refilled[],
  readiness: ReadinessOf,
): boolean {
  const following = ahead
    .slice(ahead.indexOf(host) + 1)
    .map(session => readiness(group, session, refilled))
    .find(ready => ready !== null)
  return following === undefined || following === null || following >= LEAST_READY
}
