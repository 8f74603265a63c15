import {
  failure,
  groupingId,
  isoWeekday,
  type Result,
  sessionId,
  slotId,
  success,
} from '../../base'
import {
  canStayOnWeekdays,
  daySetCount,
  MAX_SESSIONS_PER_DAY,
  ROTATION_LENGTH,
  type RotationDay,
} from '../rotation'
import type { Session, Slot } from '../session'
import type { EditProblem, PlanEdit } from './planEdit'
import type { PlanDocument } from './planDocument'

/* Edits of whole days: what they are for, where sessions stand, how many days there are. No session is ever lost by one. */

type Edited = Result<PlanDocument, EditProblem>
type Edit<Kind extends PlanEdit['kind']> = Extract<PlanEdit, { kind: Kind }>

const REST: RotationDay = { role: 'rest', sessions: [] }

function withDays(plan: PlanDocument, days: readonly RotationDay[]): PlanDocument {
  return { ...plan, rotation: { ...plan.rotation, days } }
}

function isEmpty(day: RotationDay): boolean {
  return day.sessions.length === 0
}

/** Changes what a day is for. A day with sets cannot become a rest day: its session is to be moved first. */
export function setDay(
  plan: PlanDocument,
  { day, role, label, minuteLimit }: Edit<'set_day'>,
): Edited {
  const held = plan.rotation.days[day]
  if (!held) return failure({ kind: 'no_such_day', day })
  if (role === 'rest' && !isEmpty(held))
    return failure({ kind: 'day_not_empty', day, sets: daySetCount(held) })
  const changed: RotationDay = {
    role,
    sessions: held.sessions,
    ...(label !== null && label.trim() !== '' && { label: label.trim() }),
    ...(minuteLimit !== null && role !== 'rest' && { minuteLimit }),
  }
  return success(
    withDays(
      plan,
      plan.rotation.days.map((other, at) => (at === day ? changed : other)),
    ),
  )
}

/** A day that takes another's sessions in: an empty one becomes what the other was, a training day gets a second session. */
function joined(day: RotationDay, from: RotationDay): RotationDay | undefined {
  if (isEmpty(day)) return from
  return day.sessions.length + from.sessions.length <= MAX_SESSIONS_PER_DAY
    ? { ...day, sessions: [...day.sessions, ...from.sessions] }
    : undefined
}

export function moveSession(plan: PlanDocument, { day, to }: Edit<'move_session'>): Edited {
  const { days } = plan.rotation
  const [from, target] = [days[day], days[to]]
  if (!from || !target) return failure({ kind: 'no_such_day', day: from ? to : day })
  if (day === to || isEmpty(from)) return success(plan)
  const taken = joined(target, from)
  return taken
    ? success(
        withDays(
          plan,
          days.map((held, at) => (at === to ? taken : at === day ? REST : held)),
        ),
      )
    : failure({ kind: 'day_full', day: to })
}

/** A session with ids of its own throughout. */
export function copiedSession(session: Session, newId: () => string): Session {
  return {
    ...session,
    id: sessionId(newId()),
    groupings: session.groupings.map(grouping => {
      const copy = (slot: Slot): Slot => ({ ...slot, id: slotId(newId()) })
      const [first, ...others] = grouping.slots
      return { ...grouping, id: groupingId(newId()), slots: [copy(first), ...others.map(copy)] }
    }),
  }
}

export function copyDay(
  plan: PlanDocument,
  { day, to }: Edit<'copy_day'>,
  newId: () => string,
): Edited {
  const { days } = plan.rotation
  const [from, target] = [days[day], days[to]]
  if (!from || !target || day === to) return failure({ kind: 'no_such_day', day: from ? to : day })
  const taken = joined(target, {
    ...from,
    sessions: from.sessions.map(session => copiedSession(session, newId)),
  })
  return taken
    ? success(
        withDays(
          plan,
          days.map((held, at) => (at === to ? taken : held)),
        ),
      )
    : failure({ kind: 'day_full', day: to })
}

/** Days without their last empty one; where none is empty, without the last day, whose sessions join the nearest earlier day with room. */
function shortened(days: readonly RotationDay[]): readonly RotationDay[] | undefined {
  const empty = days.findLastIndex(isEmpty)
  if (empty >= 0) return days.filter((_, at) => at !== empty)
  const last = days.at(-1)
  const kept = days.slice(0, -1)
  const host = last ? kept.findLastIndex(day => joined(day, last) !== undefined) : -1
  return last && host >= 0
    ? kept.map((day, at) => (at === host ? (joined(day, last) ?? day) : day))
    : undefined
}

export function setLength(plan: PlanDocument, length: number): Edited {
  if (length < ROTATION_LENGTH.min || length > ROTATION_LENGTH.max)
    return failure({ kind: 'no_such_day', day: length - 1 })
  let days = plan.rotation.days
  while (days.length < length) days = [...days, REST]
  while (days.length > length) {
    const fewer = shortened(days)
    if (!fewer) return failure({ kind: 'too_short', least: days.length })
    days = fewer
  }
  return success(onWeekdaysIfPossible(withDays(plan, days)))
}

/** Days that do not come back to the same weekdays float. */
function onWeekdaysIfPossible(plan: PlanDocument): PlanDocument {
  const { rotation } = plan
  return canStayOnWeekdays(rotation.days.length) || rotation.anchor.kind === 'floating'
    ? plan
    : { ...plan, rotation: { ...rotation, anchor: { kind: 'floating' } } }
}

const keptOnWeekdays = (plan: PlanDocument): PlanDocument => ({
  ...plan,
  rotation: {
    ...plan.rotation,
    anchor: { kind: 'weekday', startsOn: isoWeekday(plan.startsOn) },
  },
})

export function setAnchor(plan: PlanDocument, anchor: 'floating' | 'weekday'): Edited {
  const { days } = plan.rotation
  if (anchor === 'floating')
    return success({ ...plan, rotation: { ...plan.rotation, anchor: { kind: 'floating' } } })
  if (!canStayOnWeekdays(days.length))
    return failure({ kind: 'cannot_hold_weekdays', days: days.length })
  return success(keptOnWeekdays(plan))
}

/** Other days altogether, as a template gives them. */
export function useDays(
  plan: PlanDocument,
  days: readonly RotationDay[],
  onWeekdays = false,
): Edited {
  // Another rotation has gone its own way from the template the one before was made from.
  const { madeFrom: _, ...own } = plan
  const filled = onWeekdaysIfPossible(withDays({ ...own, dismissed: [] }, days))
  return success(onWeekdays ? keptOnWeekdays(filled) : filled)
}
