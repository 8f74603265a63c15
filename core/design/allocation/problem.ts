import { HOURS_PER_DAY, type SlotId } from '../../base'
import type { PlanEdit } from '../../plan/block'
import { directGroups, type Group, GROUPS, JOINTS, requireExercise } from '../../plan/catalogue'
import { checkInput } from '../../judge/checks'
import { jointLoads } from '../../body/joints'
import {
  countedWorkOfDay,
  type CountedWork,
  coverage,
  spanLedger,
  tallyOnce,
} from '../../count/ledger'
import { COUNTING_SCHOOLS, intentFor, type PlanContext } from '../../plan/method'
import { impulsesOf } from '../../body/recovery'
import { type DayRole, type RotationDay, SECOND_SESSION_HOURS } from '../../plan/rotation'
import { plannedSets } from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'
import {
  type AllocationQuestion,
  type Bare,
  type Cell,
  type CellWorth,
  type Draft,
  isArm,
  NEW_LEAST,
  type Place,
  type Problem,
  slotWith,
  type Terms,
} from './cells'
import { newScheme, newSlots, withheldChoices } from './offers'

const MOST_SETS = 5

/** Groups that exercises may come and go for. */
function askedGroups({ scope = 'arms', chosen = [] }: AllocationQuestion): readonly Group[] {
  return GROUPS.filter(
    group => scope === 'all' || isArm(group) || (scope === 'chosen' && chosen.includes(group)),
  )
}

function isOpen(
  slot: Slot,
  grouping: Grouping,
  { asked, scope }: Terms,
  context: PlanContext,
): Group | undefined {
  if (
    slot.isHeld ||
    grouping.placement === 'warmup' ||
    context.client.keep?.includes(slot.exercise)
  )
    return undefined
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const [main] = directGroups(slot.credits ?? intentFor(context, exercise, slot.intent).credits)
  if (!main || scope === 'all') return main
  // Compounds stay where they are, unless their muscle was chosen.
  return asked.includes(main) && (exercise.kind === 'isolation' || !isArm(main)) ? main : undefined
}

function worthOf(
  work: readonly CountedWork[],
  groups: readonly Group[],
  context: PlanContext,
): CellWorth {
  const own = spanLedger(work, context.method.school)
  const fractional = spanLedger(work, COUNTING_SCHOOLS.fractional)
  const impulses = impulsesOf(work, context)
  const joints = jointLoads(work, context)
  const { overheadShare, directSets } = coverage({ work: [work] }, 'triceps', context)
  return {
    counted: groups.map(group => own.groups[group].counted.value),
    fractional: groups.map(group => fractional.groups[group].counted.value),
    direct: groups.map(group => own.groups[group].direct.value),
    impulse: groups.map(group => impulses.get(group) ?? 0),
    joints: JOINTS.map(joint => joints[joint]),
    flexors: tallyOnce(work, ['biceps', 'elbow_flexors_other'], COUNTING_SCHOOLS.fractional).counted
      .value,
    extensors: tallyOnce(work, ['triceps'], COUNTING_SCHOOLS.fractional).counted.value,
    overhead: overheadShare * directSets,
  }
}

function workOf(
  place: { role: DayRole; content: Session },
  groupings: readonly Grouping[],
  context: PlanContext,
): readonly CountedWork[] {
  const day: RotationDay = { role: place.role, sessions: [{ ...place.content, groupings }] }
  return countedWorkOfDay(day, context)
}

/** Exercises that stand in the sessions and may change. */
function openSlots(places: readonly Bare[], terms: Terms, context: PlanContext): readonly Draft[] {
  return places.flatMap(({ content }, place) =>
    content.groupings.flatMap(grouping =>
      grouping.slots.flatMap((slot): Draft[] => {
        const main = isOpen(slot, grouping, terms, context)
        return main ? [{ place, grouping, slot, main, isNew: false }] : []
      }),
    ),
  )
}

function cellOf(
  { place, grouping, slot, main, isNew }: Draft,
  at: number,
  held: Bare,
  groups: readonly Group[],
  context: PlanContext,
  isBackbone = false,
): Cell {
  const now = isNew ? 0 : plannedSets(slot.scheme)
  const most = Math.max(MOST_SETS, now)
  const least = isNew ? NEW_LEAST : Math.min(NEW_LEAST, now)
  const values = [
    ...(isBackbone ? [] : [0]),
    ...Array.from({ length: most - least + 1 }, (_, step) => least + step),
  ]
  const worth = Array.from({ length: most + 1 }, (_, sets) =>
    worthOf(
      sets === 0 ? [] : workOf(held, [{ ...grouping, slots: [slotWith(slot, sets)] }], context),
      groups,
      context,
    ),
  )
  return { at, place, slot, grouping, main, isNew, now, values, worth }
}

/** Sessions of a plan in order, with the hour at which each begins. */
const sessionsOf = ({ rotation }: AllocationQuestion['plan']): readonly Bare[] =>
  rotation.days.flatMap((day, at) =>
    day.sessions.map((content, session) => ({
      day: at,
      session,
      hour: at * HOURS_PER_DAY + session * SECOND_SESSION_HOURS,
      role: day.role,
      content,
    })),
  )

/** Groups that any open exercise counts for. */
const groupsOf = (drafts: readonly Draft[], context: PlanContext): readonly Group[] =>
  GROUPS.filter(group =>
    drafts.some(({ slot }) => {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const credits = slot.credits ?? intentFor(context, exercise, slot.intent).credits
      return (credits[group] ?? 0) > 0
    }),
  )

/** A session with its cells and what stands in it beside them. */
function placeOf(
  held: Bare,
  place: number,
  cells: readonly Cell[],
  groups: readonly Group[],
  context: PlanContext,
): Place {
  const own = cells.filter(cell => cell.place === place)
  const open = new Set<SlotId>(own.map(({ slot }) => slot.id))
  const fixed = held.content.groupings.flatMap((grouping): Grouping[] => {
    const [first, ...others] = grouping.slots.filter(({ id }) => !open.has(id))
    return first ? [{ ...grouping, slots: [first, ...others] }] : []
  })
  return { ...held, cells: own, base: worthOf(workOf(held, fixed, context), groups, context) }
}

/** What there is to decide about a plan, and what stands whatever is decided. */
export function allocationProblem(question: AllocationQuestion): Problem {
  const { plan, context, scope = 'arms', newAs = 'usual', backbone } = question
  const terms: Terms = { asked: askedGroups(question), scope, newAs, backbone }
  const input = checkInput(plan, context)
  const bare = sessionsOf(plan)
  const drafts = [...openSlots(bare, terms, context), ...newSlots(bare, input, terms)]
  const groups = groupsOf(drafts, context)
  const cells = drafts.map((draft, at) =>
    cellOf(draft, at, bare[draft.place]!, groups, context, backbone?.has(draft.slot.id)),
  )
  const places = bare.map((held, place) => placeOf(held, place, cells, groups, context))
  const scale = 7 / plan.rotation.days.length
  const openNow = (cell: Cell, g: number) => cell.worth[cell.now]?.counted[g] ?? 0
  const beside = groups.map((group, g) => {
    const inSessions = places.reduce(
      (sum, { base, cells: own }) =>
        sum + base.counted[g]! + own.reduce((part, cell) => part + openNow(cell, g), 0),
      0,
    )
    return input.ledger.groups[group].week.counted.value - scale * inSessions
  })
  const withheld = withheldChoices(bare, input, terms)
  return {
    plan,
    context,
    input,
    groups,
    places,
    cells,
    asked: terms.asked,
    newAs,
    withheld,
    isFromNothing: backbone !== undefined,
    beside,
  }
}

/** Edits that turn the plan into what a vector of sets says, one for each exercise that changes. */
export function allocationEdits(
  { plan, places, cells, context, newAs }: Problem,
  sets: readonly number[],
): readonly { readonly cell: Cell; readonly edit: PlanEdit }[] {
  return cells.flatMap((cell): { cell: Cell; edit: PlanEdit }[] => {
    const wanted = sets[cell.at]!
    const place = places[cell.place]
    if (wanted === cell.now || !place) return []
    if (!cell.isNew)
      return [
        {
          cell,
          edit:
            wanted > cell.now
              ? { kind: 'add_sets', slot: cell.slot.id, count: wanted - cell.now }
              : { kind: 'cut_sets', slot: cell.slot.id, count: cell.now - wanted },
        },
      ]
    const session = plan.rotation.days[place.day]?.sessions[place.session]
    return [
      {
        cell,
        edit: {
          kind: 'add_exercise',
          day: place.day,
          ...(session && { session: session.id }),
          exercise: cell.slot.exercise,
          intent: cell.slot.intent,
          scheme: newScheme(
            requireExercise(context.catalogue, cell.slot.exercise),
            wanted,
            newAs,
            context,
          ),
        },
      },
    ]
  })
}
