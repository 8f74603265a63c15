import { failure, groupingId, type Result, type SlotId, success, nonEmpty } from '../../base'
import { MAX_SESSIONS_PER_DAY, type RotationDay } from '../rotation'
import { allSets, MAX_SETS_PER_EXERCISE } from '../scheme'
import type { Grouping, Session, Slot } from '../session'
import { findSlot, MAX_GROUPINGS, type PlanDocument } from './planDocument'
import type { EditProblem, PlanEdit } from './planEdit'

/* Edits of what is done together and in which order within a session. */

type Edited = Result<PlanDocument, EditProblem>
type Edit<Kind extends PlanEdit['kind']> = Extract<PlanEdit, { kind: Kind }>

const holds =
  (id: SlotId) =>
  ({ slots }: Grouping) =>
    slots.some(slot => slot.id === id)

/** Changes the session that holds a slot; `at` is the place of the grouping with it. */
function changeSession(
  plan: PlanDocument,
  id: SlotId,
  change: (groupings: readonly Grouping[], at: number) => readonly Grouping[],
): Edited {
  const found = findSlot(plan, id)
  if (!found) return failure({ kind: 'no_such_slot', slot: id })
  return success(
    onDay(plan, found.day, day => ({
      ...day,
      sessions: day.sessions.map(session => {
        const at = session.groupings.findIndex(holds(id))
        return at < 0 ? session : { ...session, groupings: change(session.groupings, at) }
      }),
    })),
  )
}

function onDay(
  plan: PlanDocument,
  at: number,
  change: (day: RotationDay) => RotationDay,
): PlanDocument {
  return {
    ...plan,
    rotation: {
      ...plan.rotation,
      days: plan.rotation.days.map((day, index) => (index === at ? change(day) : day)),
    },
  }
}

/** Changes the grouping that holds a slot. */
function changeGrouping(
  plan: PlanDocument,
  id: SlotId,
  change: (grouping: Grouping) => Grouping,
): Edited {
  return changeSession(plan, id, (groupings, place) =>
    groupings.map((grouping, at) => (at === place ? change(grouping) : grouping)),
  )
}

function changeSlot(plan: PlanDocument, id: SlotId, change: (slot: Slot) => Slot): Edited {
  return changeGrouping(plan, id, grouping => {
    const [first, ...others] = grouping.slots.map(slot => (slot.id === id ? change(slot) : slot))
    return first ? { ...grouping, slots: [first, ...others] } : grouping
  })
}

function groupingOf(
  plan: PlanDocument,
  id: SlotId,
): { readonly grouping: Grouping; readonly session: Session } | undefined {
  const found = findSlot(plan, id)
  const sessions = found ? (plan.rotation.days[found.day]?.sessions ?? []) : []
  for (const session of sessions) {
    const grouping = session.groupings.find(holds(id))
    if (grouping) return { grouping, session }
  }
  return undefined
}

export function moveGrouping(plan: PlanDocument, { slot, to }: Edit<'move_grouping'>): Edited {
  return changeSession(plan, slot, (groupings, at) => {
    const moved = groupings[at]
    if (!moved) return groupings
    const others = groupings.filter(grouping => grouping !== moved)
    if (to === 'first') return [moved, ...others]
    if (to === 'last') return [...others, moved]
    const before = others.findIndex(holds(to.before))
    return before < 0 ? groupings : [...others.slice(0, before), moved, ...others.slice(before)]
  })
}

function alone(slot: Slot, grouping: Grouping, id: Grouping['id']): Grouping {
  return { id, kind: 'straight', placement: grouping.placement, slots: [slot] }
}

export function ungroup(plan: PlanDocument, slot: SlotId, newId: () => string): Edited {
  return changeSession(plan, slot, (groupings, at) =>
    groupings.flatMap((grouping, place): readonly Grouping[] =>
      place === at
        ? grouping.slots.map((held, index) =>
            alone(held, grouping, index === 0 ? grouping.id : groupingId(newId())),
          )
        : [grouping],
    ),
  )
}

/** Both stand where the earlier of the two stood; what the two groupings said about rests is kept, the earlier one first. */
export function pairGroupings(plan: PlanDocument, { slot, with: other, as }: Edit<'pair'>): Edited {
  const [own, partner] = [groupingOf(plan, slot), groupingOf(plan, other)]
  if (!own || !partner) return failure({ kind: 'no_such_slot', slot: own ? other : slot })
  if (own.grouping === partner.grouping) return failure({ kind: 'with_itself', slot })
  if (own.session !== partner.session) return failure({ kind: 'other_session', slot: other })
  return changeSession(plan, slot, groupings => {
    const [first, second] =
      groupings.indexOf(own.grouping) < groupings.indexOf(partner.grouping)
        ? [own.grouping, partner.grouping]
        : [partner.grouping, own.grouping]
    const together: Grouping = {
      ...second,
      ...first,
      kind: as,
      slots: [...first.slots, ...second.slots],
    }
    return groupings.flatMap(grouping =>
      grouping === first ? [together] : grouping === second ? [] : [grouping],
    )
  })
}

export function takeOut(plan: PlanDocument, slot: SlotId, newId: () => string): Edited {
  const found = groupingOf(plan, slot)
  if (found && found.grouping.slots.length < 2) return failure({ kind: 'needs_partner', slot })
  return changeSession(plan, slot, (groupings, at) =>
    groupings.flatMap((grouping, place): readonly Grouping[] => {
      const [first, ...others] = grouping.slots.filter(held => held.id !== slot)
      const taken = grouping.slots.find(held => held.id === slot)
      if (place !== at || !first || !taken) return [grouping]
      const left: Grouping = {
        ...grouping,
        kind: others.length === 0 ? 'straight' : grouping.kind,
        slots: [first, ...others],
      }
      return [left, alone(taken, grouping, groupingId(newId()))]
    }),
  )
}

export function convertGrouping(plan: PlanDocument, { slot, to }: Edit<'convert'>): Edited {
  const found = groupingOf(plan, slot)
  if (found && found.grouping.slots.length < 2 && to !== 'straight')
    return failure({ kind: 'needs_partner', slot })
  return changeGrouping(plan, slot, grouping => ({ ...grouping, kind: to }))
}

export function movePartner(plan: PlanDocument, { slot, by }: Edit<'move_partner'>): Edited {
  return changeGrouping(plan, slot, grouping => {
    const from = grouping.slots.findIndex(({ id }) => id === slot)
    const slots = [...grouping.slots]
    const [moved, passed] = [slots[from], slots[from + by]]
    if (!moved || !passed) return grouping
    slots[from + by] = moved
    slots[from] = passed
    return { ...grouping, slots: nonEmpty(slots, 'slots of a grouping') }
  })
}

export function tuneGrouping(plan: PlanDocument, { slot, change }: Edit<'tune_grouping'>): Edited {
  return changeGrouping(
    plan,
    slot,
    grouping =>
      Object.fromEntries(
        Object.entries({ ...grouping, ...change }).filter(([, value]) => value !== null),
      ) as Partial<Grouping> as Grouping,
  )
}

/** Exercises that were there keep their ids and whether they are held; a second mention of the same one is new. */
export function setGrouping(plan: PlanDocument, { slot, grouping }: Edit<'set_grouping'>): Edited {
  const overfull = grouping.slots.find(({ scheme }) => allSets(scheme) > MAX_SETS_PER_EXERCISE)
  if (overfull)
    return failure({
      kind: 'too_many_sets',
      exercise: overfull.exercise,
      limit: MAX_SETS_PER_EXERCISE,
    })
  return changeGrouping(plan, slot, before => {
    const known = [...before.slots]
    const [first, ...others] = grouping.slots.map((typed): Slot => {
      const at = known.findIndex(({ exercise }) => exercise === typed.exercise)
      const [same] =
        at < 0 ? (grouping.slots.length === 1 ? known.splice(0, 1) : []) : known.splice(at, 1)
      return same ? { ...typed, id: same.id, ...(same.isHeld && { isHeld: true }) } : typed
    })
    return first ? { ...grouping, id: before.id, slots: [first, ...others] } : before
  })
}

export function setNote(plan: PlanDocument, { slot, note }: Edit<'set_note'>): Edited {
  return changeSlot(plan, slot, ({ note: _, ...held }) =>
    note.trim() === '' ? held : { ...held, note: note.trim() },
  )
}

export function setRole(plan: PlanDocument, { slot, role }: Edit<'set_role'>): Edited {
  return changeSlot(plan, slot, ({ role: _, ...held }) => (role ? { ...held, role } : held))
}

export function setPurpose(plan: PlanDocument, { slot, intent }: Edit<'set_purpose'>): Edited {
  return changeSlot(plan, slot, ({ credits: _, ...held }) => ({ ...held, intent }))
}

export function putSession(
  plan: PlanDocument,
  { day, session, content }: Edit<'put_session'>,
): Edited {
  const held = plan.rotation.days[day]
  if (!held) return failure({ kind: 'no_such_day', day })
  if (held.role === 'rest') return failure({ kind: 'rest_day', day })
  if (content.groupings.length > MAX_GROUPINGS)
    return failure({ kind: 'session_full', limit: MAX_GROUPINGS })
  if (session === null)
    return held.sessions.length >= MAX_SESSIONS_PER_DAY
      ? failure({ kind: 'day_full', day })
      : success(
          onDay(plan, day, before => ({ ...before, sessions: [...before.sessions, content] })),
        )
  if (!held.sessions.some(({ id }) => id === session)) return failure({ kind: 'no_such_session' })
  return success(
    onDay(plan, day, before => ({
      ...before,
      sessions: before.sessions.map(old =>
        old.id === session ? { ...content, id: session } : old,
      ),
    })),
  )
}

export function removeSession(
  plan: PlanDocument,
  { day, session }: Edit<'remove_session'>,
): Edited {
  if (!plan.rotation.days[day]) return failure({ kind: 'no_such_day', day })
  return success(
    onDay(plan, day, before => ({
      ...before,
      sessions: before.sessions.filter(({ id }) => id !== session),
    })),
  )
}
