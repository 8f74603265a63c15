import { addDays, groupingId, slotId } from '../../base'
import { type Group, JOINTS, requireExercise } from '../../plan/catalogue'
import { jointCeiling, jointLoads } from '../../body/joints'
import { countedWorkOfDay } from '../../count/ledger'
import { type PlanContext, sessionMaxOf } from '../../plan/method'
import { mainGroup, sessionSeconds } from '../../plan/minutes'
import type { BlockSession } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import { HORIZON_DAYS, isAt, type ReplanQuestion } from './replan'

/** The missed session itself. */
export function missedSession({ expanded, missed }: ReplanQuestion): BlockSession | undefined {
  return expanded.passes[missed.pass]?.sessions.find(isAt(missed))
}

const isBegun = ({ sent }: BlockSession) => sent !== undefined && (sent.isDone || sent.setsDone > 0)

/** Sessions after the missed day that nobody has begun, by date. */
export function sessionsAhead({
  expanded,
  missed,
  today,
}: ReplanQuestion): readonly BlockSession[] {
  const from = expanded.passes[missed.pass]?.sessions.find(isAt(missed))?.on
  if (from === undefined) return []
  return expanded.passes
    .slice(missed.pass)
    .flatMap(({ sessions }) => sessions)
    .filter(
      session =>
        session.on > from &&
        session.on >= today &&
        !session.isSkipped &&
        !isBegun(session) &&
        !isAt(missed)(session),
    )
    .sort((a, b) => a.on.localeCompare(b.on) || a.place - b.place)
}

/** Those of them within seven days of the missed one. */
export function sessionsWithin(question: ReplanQuestion): readonly BlockSession[] {
  const from = missedSession(question)?.on
  return from === undefined
    ? []
    : sessionsAhead(question).filter(({ on }) => on <= addDays(from, HORIZON_DAYS))
}

export function mainGroupOf(slot: Slot, context: PlanContext): Group | undefined {
  return mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)
}

/** Sets of the exercises whose main muscle this is. */
export function setsFor(content: Session, group: Group, context: PlanContext): number {
  return sessionSlots(content).reduce(
    (sum, slot) => sum + (mainGroupOf(slot, context) === group ? plannedSets(slot.scheme) : 0),
    0,
  )
}

/** A slot with so many sets more in its last working run. */
function withMore(slot: Slot, more: number): Slot {
  const last = slot.scheme.runs.findLastIndex(({ role }) => role !== 'warmup')
  return {
    ...slot,
    scheme: {
      ...slot.scheme,
      runs: slot.scheme.runs.map((run, at) =>
        at === last ? { ...run, count: run.count + more } : run,
      ),
    },
  }
}

/** One run of so many sets like the slot's last working one. */
function ofSets(slot: Slot, sets: number): Slot {
  const last = slot.scheme.runs.findLast(({ role }) => role !== 'warmup')
  return {
    ...slot,
    id: slotId(`${slot.id} moved`),
    scheme: { ...slot.scheme, runs: last ? [{ ...last, count: sets }] : [] },
  }
}

/** A session that takes one set over: at the same exercise, else at one for the same muscle, else the exercise comes along. */
export function withOneSet(content: Session, from: Slot, context: PlanContext): Session {
  const group = mainGroupOf(from, context)
  const slots = sessionSlots(content)
  const home =
    slots.find(({ exercise, intent }) => exercise === from.exercise && intent === from.intent) ??
    slots.find(slot => mainGroupOf(slot, context) === group)
  if (!home)
    return {
      ...content,
      groupings: [
        ...content.groupings,
        {
          id: groupingId(`${from.id} moved`),
          kind: 'straight',
          placement: 'main',
          slots: [ofSets(from, 1)],
        },
      ],
    }
  return {
    ...content,
    groupings: content.groupings.map(grouping => {
      const [first, ...others] = grouping.slots.map(slot =>
        slot.id === home.id ? withMore(slot, 1) : slot,
      )
      return first ? { ...grouping, slots: [first, ...others] } : grouping
    }),
  }
}

/** Whether a session may hold what it was given: sets for the muscle, minutes, and what its joints bear. */
export function isWithinLimits(
  content: Session,
  group: Group,
  { minuteLimit }: BlockSession,
  context: PlanContext,
): boolean {
  if (setsFor(content, group, context) > (sessionMaxOf(context, group) ?? Infinity)) return false
  if (minuteLimit !== undefined && sessionSeconds(content, context) > minuteLimit * 60) return false
  const loads = jointLoads(
    countedWorkOfDay({ role: 'open', sessions: [content] }, context),
    context,
  )
  return JOINTS.every(joint => loads[joint] <= jointCeiling(joint, context).session)
}
