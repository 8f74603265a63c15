import {
  assert,
  failure,
  groupingId,
  isoWeekday,
  type Result,
  sessionId,
  type SlotId,
  slotId,
  success,
} from '../../base'
import { daySlots, type RotationDay } from '../rotation'
import {
  allSets,
  MAX_SETS_PER_EXERCISE,
  plannedSets,
  type SetRun,
  type SetScheme,
  splitSets,
  withRunsAdded,
  withSetsAdded,
  forAnotherExercise,
} from '../scheme'
import type { Grouping, Session, Slot } from '../session'
import { copyDay, moveSession, setAnchor, setDay, setLength, useDays } from './editDays'
import {
  convertGrouping,
  moveGrouping,
  movePartner,
  pairGroupings,
  putSession,
  removeSession,
  setGrouping,
  setNote,
  setRole,
  setPurpose,
  takeOut,
  tuneGrouping,
  ungroup,
} from './editGroupings'
import {
  findSlot,
  type MadeFrom,
  MAX_GROUPINGS,
  type PlanDocument,
  type Weighed,
} from './planDocument'
import { withOneOff, withVariant, withoutOneOff, withoutVariant } from './oneOffs'
import type { EditProblem, PlanEdit } from './planEdit'

type Edited = Result<PlanDocument, EditProblem>

/**
 * The plan after an edit.
 *
 * Shape:   a new document; days that the edit does not touch stay the same objects.
 * Edge:    cutting the last set takes the exercise out; a plan that would not change comes back as it is; a draft that is changed is one no more.
 * Errors:  the reason as a value; nothing is changed in part.
 */
export function applyEdit(plan: PlanDocument, edit: PlanEdit, newId: () => string): Edited {
  const edited = applied(plan, edit, newId)
  if (!edited.ok || !edited.value.draft || edited.value === plan) return edited
  const { draft: _, ...own } = edited.value
  return success(own)
}

function applied(plan: PlanDocument, edit: PlanEdit, newId: () => string): Edited {
  switch (edit.kind) {
    case 'add_sets':
      return changeScheme(plan, edit.slot, scheme => withSetsAdded(scheme, edit.count))
    case 'cut_sets':
      return changeScheme(plan, edit.slot, scheme => splitSets(scheme, edit.count).kept)
    case 'add_exercise':
      return addExercise(plan, edit, newId)
    case 'move_sets':
      return moveSets(plan, edit, newId)
    case 'set_scheme':
      return changeScheme(plan, edit.slot, () => edit.scheme)
    case 'remove_exercise':
      return changeScheme(plan, edit.slot, scheme => ({ ...scheme, runs: [] }))
    case 'swap_exercise':
      return swapExercise(plan, edit)
    case 'move_grouping':
      return moveGrouping(plan, edit)
    case 'ungroup':
      return ungroup(plan, edit.slot, newId)
    case 'pair':
      return pairGroupings(plan, edit)
    case 'take_out':
      return takeOut(plan, edit.slot, newId)
    case 'convert':
      return convertGrouping(plan, edit)
    case 'move_partner':
      return movePartner(plan, edit)
    case 'tune_grouping':
      return tuneGrouping(plan, edit)
    case 'set_grouping':
      return setGrouping(plan, edit)
    case 'set_role':
      return setRole(plan, edit)
    case 'set_note':
      return setNote(plan, edit)
    case 'set_purpose':
      return setPurpose(plan, edit)
    case 'put_session':
      return putSession(plan, edit)
    case 'remove_session':
      return removeSession(plan, edit)
    case 'put_one_off':
      return success(withOneOff(plan, edit.oneOff))
    case 'drop_one_off':
      return success(withoutOneOff(plan, edit.session, edit.on))
    case 'put_variant':
      return success(withVariant(plan, edit.variant))
    case 'drop_variant':
      return success(withoutVariant(plan, edit.session, edit.name))
    case 'set_block':
      return success(setBlock(plan, edit))
    case 'swap_days':
      return swapDays(plan, edit)
    case 'set_day':
      return setDay(plan, edit)
    case 'move_session':
      return moveSession(plan, edit)
    case 'copy_day':
      return copyDay(plan, edit, newId)
    case 'set_length':
      return setLength(plan, edit.days)
    case 'set_anchor':
      return setAnchor(plan, edit.anchor)
    case 'use_days':
      return useDays(plan, edit.days, edit.onWeekdays)
    case 'hold':
      return success(hold(plan, edit))
    case 'set_closing_notes':
      return success(withClosingNotes(plan, edit.notes))
    case 'set_weighed':
      return success(withWeighed(plan, edit.weighed))
    case 'set_made_from':
      return success(withMadeFrom(plan, edit.madeFrom))
    case 'dismiss':
      return success({
        ...plan,
        dismissed: [...others(plan, edit.finding), { finding: edit.finding, note: edit.note }],
      })
    case 'undismiss':
      return success({ ...plan, dismissed: others(plan, edit.finding) })
  }
}

function changeScheme(
  plan: PlanDocument,
  id: SlotId,
  change: (scheme: SetScheme) => SetScheme,
): Edited {
  const found = findSlot(plan, id)
  if (!found) return failure({ kind: 'no_such_slot', slot: id })
  const changed = { ...found.slot, scheme: change(found.slot.scheme) }
  return checked(
    plan,
    withDay(plan, found.day, day => withSlot(day, changed)),
    [changed],
  )
}

function swapExercise(
  plan: PlanDocument,
  edit: Extract<PlanEdit, { kind: 'swap_exercise' }>,
): Edited {
  const found = findSlot(plan, edit.slot)
  if (!found) return failure({ kind: 'no_such_slot', slot: edit.slot })
  const { credits: _, ...kept } = found.slot
  const scheme = kept.exercise === edit.exercise ? kept.scheme : forAnotherExercise(kept.scheme)
  return success(
    withDay(plan, found.day, day =>
      withSlot(day, { ...kept, scheme, exercise: edit.exercise, intent: edit.intent }),
    ),
  )
}

/** A rotation that keeps to weekdays keeps to that of its new start. */
function setBlock(
  plan: PlanDocument,
  { title, startsOn, passes, block }: Extract<PlanEdit, { kind: 'set_block' }>,
): PlanDocument {
  const { anchor } = plan.rotation
  const rotation =
    startsOn && anchor.kind === 'weekday'
      ? { ...plan.rotation, anchor: { kind: 'weekday' as const, startsOn: isoWeekday(startsOn) } }
      : plan.rotation
  const { block: held, ...rest } = plan
  const next = block ?? held
  return {
    ...rest,
    rotation,
    ...(title && { title }),
    ...(startsOn && { startsOn }),
    ...(passes && { passes }),
    ...(next && Object.keys(next).length > 0 && { block: next }),
  }
}

function withMadeFrom(
  { madeFrom: _, ...plan }: PlanDocument,
  madeFrom: MadeFrom | null,
): PlanDocument {
  return madeFrom ? { ...plan, madeFrom } : plan
}

function others(
  { dismissed = [] }: PlanDocument,
  finding: string,
): NonNullable<PlanDocument['dismissed']> {
  return dismissed.filter(dismissal => dismissal.finding !== finding)
}

function hold(
  plan: PlanDocument,
  { slots, isHeld }: Extract<PlanEdit, { kind: 'hold' }>,
): PlanDocument {
  return slots.reduce((edited, id) => {
    const found = findSlot(edited, id)
    if (!found || (found.slot.isHeld === true) === isHeld) return edited
    const { isHeld: _, ...slot } = found.slot
    return withDay(edited, found.day, day => withSlot(day, isHeld ? { ...slot, isHeld } : slot))
  }, plan)
}

function swapDays(
  plan: PlanDocument,
  { day, with: other }: Extract<PlanEdit, { kind: 'swap_days' }>,
): Edited {
  const { days } = plan.rotation
  const [one, two] = [days[day], days[other]]
  if (!one || !two) return failure({ kind: 'no_such_day', day: one ? other : day })
  return success({
    ...plan,
    rotation: {
      ...plan.rotation,
      days: days.map((held, at) => (at === day ? two : at === other ? one : held)),
    },
  })
}

/** The plan after several edits in a row; the first that cannot be made stops them all. */
export function applyEdits(
  plan: PlanDocument,
  edits: readonly PlanEdit[],
  newId: () => string,
): Edited {
  return edits.reduce<Edited>(
    (edited, edit) => (edited.ok ? applyEdit(edited.value, edit, newId) : edited),
    success(plan),
  )
}

function addExercise(
  plan: PlanDocument,
  edit: Extract<PlanEdit, { kind: 'add_exercise' }>,
  newId: () => string,
): Edited {
  const problem = dayProblem(plan, edit.day)
  if (problem) return failure(problem)
  const sessions = plan.rotation.days[edit.day]?.sessions ?? []
  const host = sessions.find(({ id }) => id === edit.session) ?? sessions.at(-1)
  if (host && host.groupings.length >= MAX_GROUPINGS)
    return failure({ kind: 'session_full', limit: MAX_GROUPINGS })
  const slot: Slot = {
    id: slotId(newId()),
    exercise: edit.exercise,
    intent: edit.intent,
    scheme: edit.scheme,
  }
  return checked(
    plan,
    withDay(plan, edit.day, day => withNewSlot(day, slot, newId, host?.id)),
    [slot],
  )
}

function moveSets(
  plan: PlanDocument,
  edit: Extract<PlanEdit, { kind: 'move_sets' }>,
  newId: () => string,
): Edited {
  const problem = dayProblem(plan, edit.toDay)
  if (problem) return failure(problem)
  let next = plan
  const grown: Slot[] = []
  for (const { slot: id, count } of edit.moves) {
    const found = findSlot(next, id)
    if (!found) return failure({ kind: 'no_such_slot', slot: id })
    if (found.day === edit.toDay) continue
    const { kept, taken } = splitSets(found.slot.scheme, count)
    next = withDay(next, found.day, day => withSlot(day, { ...found.slot, scheme: kept }))
    const landed = landedSlot(next.rotation.days[edit.toDay], found.slot, taken, newId)
    next = withDay(next, edit.toDay, day =>
      landed.isNew ? withNewSlot(day, landed.slot, newId) : withSlot(day, landed.slot),
    )
    grown.push(landed.slot)
  }
  return checked(plan, next, grown)
}

/** Where sets land: with the same exercise if the day has it, else in a slot of their own that keeps everything but the id. */
function landedSlot(
  day: RotationDay | undefined,
  moved: Slot,
  taken: readonly SetRun[],
  newId: () => string,
): { readonly slot: Slot; readonly isNew: boolean } {
  assert(day, 'the target day was checked')
  const same = daySlots(day).find(
    slot =>
      slot.exercise === moved.exercise &&
      slot.intent === moved.intent &&
      JSON.stringify(slot.credits) === JSON.stringify(moved.credits),
  )
  return same
    ? { slot: { ...same, scheme: withRunsAdded(same.scheme, taken) }, isNew: false }
    : {
        slot: { ...moved, id: slotId(newId()), scheme: { ...moved.scheme, runs: taken } },
        isNew: true,
      }
}

function dayProblem(plan: PlanDocument, at: number): EditProblem | undefined {
  const day = plan.rotation.days[at]
  if (!day) return { kind: 'no_such_day', day: at }
  return day.role === 'rest' ? { kind: 'rest_day', day: at } : undefined
}

function checked(before: PlanDocument, after: PlanDocument, grown: readonly Slot[]): Edited {
  const overfull = grown.find(slot => allSets(slot.scheme) > MAX_SETS_PER_EXERCISE)
  if (overfull)
    return failure({
      kind: 'too_many_sets',
      exercise: overfull.exercise,
      limit: MAX_SETS_PER_EXERCISE,
    })
  return success(grown.length === 0 ? before : after)
}

function withDay(
  plan: PlanDocument,
  at: number,
  change: (day: RotationDay) => RotationDay,
): PlanDocument {
  const days = plan.rotation.days.map((day, index) => (index === at ? change(day) : day))
  return { ...plan, rotation: { ...plan.rotation, days } }
}

/** The day with a slot replaced; a slot without working sets goes, and so does what it leaves empty. */
function withSlot(day: RotationDay, changed: Slot): RotationDay {
  const sessions = day.sessions.map(session => ({
    ...session,
    groupings: session.groupings.flatMap(grouping => groupingWith(grouping, changed)),
  }))
  return { ...day, sessions: sessions.filter(session => session.groupings.length > 0) }
}

/** The grouping with a slot replaced; a slot without working sets goes, and the grouping with its last one. */
export function groupingWith(grouping: Grouping, changed: Slot): readonly Grouping[] {
  if (!grouping.slots.some(slot => slot.id === changed.id)) return [grouping]
  const [first, ...others] = grouping.slots.flatMap(slot => {
    if (slot.id !== changed.id) return [slot]
    return plannedSets(changed.scheme) > 0 ? [changed] : []
  })
  if (!first) return []
  return [
    {
      ...grouping,
      kind: others.length === 0 ? 'straight' : grouping.kind,
      slots: [first, ...others],
    },
  ]
}

/** The day with a new exercise at the end of a session; the last one where none is named. */
function withNewSlot(
  day: RotationDay,
  slot: Slot,
  newId: () => string,
  host = day.sessions.at(-1)?.id,
): RotationDay {
  const grouping: Grouping = {
    id: groupingId(newId()),
    kind: 'straight',
    placement: 'main',
    slots: [slot],
  }
  const sessions: readonly Session[] = host
    ? day.sessions
    : [{ id: sessionId(newId()), groupings: [] }]
  return {
    ...day,
    sessions: sessions.map(session =>
      host === undefined || session.id === host
        ? { ...session, groupings: [...session.groupings, grouping] }
        : session,
    ),
  }
}

const withWeighed = (
  { weighed: _, ...plan }: PlanDocument,
  weighed: readonly Weighed[],
): PlanDocument => (weighed.length === 0 ? plan : { ...plan, weighed })

function withClosingNotes({ closingNotes: _, ...plan }: PlanDocument, notes: string): PlanDocument {
  return notes.trim() === '' ? plan : { ...plan, closingNotes: notes }
}
