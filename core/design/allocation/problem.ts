import { exerciseId, groupingId, type SlotId, slotId, HOURS_PER_DAY } from '../../base'
import { type PlanDocument, type PlanEdit, usualScheme } from '../../plan/block'
import {
  ARM_GROUPS,
  directGroups,
  type Exercise,
  type Group,
  GROUPS,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import { checkInput, type CheckInput } from '../../judge/checks'
import { isTooHard, jointLoads } from '../../body/joints'
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
import { plannedSets, type SetScheme, splitSets, withSetsAdded } from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'
import { type RankedChoice, rankedChoices } from '../suggest'

export const ALLOCATION_SCOPES = ['arms', 'chosen', 'all'] as const
/** What may be moved: direct arm work by single-joint exercises, that and every exercise for some other muscles, or everything. */
export type AllocationScope = (typeof ALLOCATION_SCOPES)[number]

/** What some number of sets of a cell gives; arrays by affected group, by session joint. */
export interface CellWorth {
  readonly counted: readonly number[]
  readonly fractional: readonly number[]
  readonly direct: readonly number[]
  readonly impulse: readonly number[]
  readonly joints: readonly number[]
  readonly flexors: number
  readonly extensors: number
  /** Direct triceps sets with the arm overhead. */
  readonly overhead: number
}

/** An exercise at a place in the rotation whose number of sets is open. */
export interface Cell {
  readonly at: number
  /** Index into the problem's sessions. */
  readonly place: number
  readonly slot: Slot
  /** What it is done in, by itself where it is new. */
  readonly grouping: Grouping
  readonly main: Group
  readonly isNew: boolean
  readonly now: number
  /** Numbers of sets it may have, rising; 0 is always among them. */
  readonly values: readonly number[]
  /** By number of sets. */
  readonly worth: readonly CellWorth[]
}

/** A session of the rotation with what stands in it whatever is proposed. */
export interface Place {
  readonly day: number
  readonly session: number
  readonly hour: number
  readonly role: DayRole
  readonly content: Session
  readonly base: CellWorth
  /** Cells of the session by slot. */
  readonly cells: readonly Cell[]
}

/** How new exercises are done: in the usual way, or as finishers with short rests. */
export type NewAs = 'usual' | 'finisher'

export interface Problem {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly input: CheckInput
  /** Groups that any open set counts for. */
  readonly groups: readonly Group[]
  readonly places: readonly Place[]
  readonly cells: readonly Cell[]
  /** Groups that exercises may come and go for. */
  readonly asked: readonly Group[]
  readonly newAs: NewAs
  /** Sets per 7 days that come from besides the rotation. */
  readonly beside: readonly number[]
}

export interface AllocationQuestion {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly scope?: AllocationScope
  /** Groups beside the arms, for the scope `chosen`. */
  readonly chosen?: readonly Group[]
  readonly newAs?: NewAs
}

const MOST_SETS = 5
const NEW_LEAST = 2
/** New exercises offered for each group on each day. */
const CHOICES = 6
/** Fewer for muscles beside the arms, whose exercises are many and cost more of everything. */
const OTHER_CHOICES = 2
/** Rest between sets of a finisher; a rule of thumb. Source: docs/methods.md#proposals. */
const FINISHER_REST = 45

const PUSH: readonly Group[] = ['triceps', 'forearms', 'chest', 'delts_front', 'delts_side']
const PULL: readonly Group[] = [
  'biceps',
  'elbow_flexors_other',
  'forearms',
  'lats',
  'upper_back',
  'traps',
  'delts_rear',
]
const LEGS: readonly Group[] = ['glutes', 'quads', 'hamstrings', 'calves', 'abs', 'lower_back']
/** Which muscles fit a day's role without asking; a day that trains one already may keep it. */
const FITS: Readonly<Partial<Record<DayRole, readonly Group[]>>> = {
  push: PUSH,
  pull: PULL,
  upper: [...PUSH, ...PULL],
  arms: [...ARM_GROUPS, 'delts_side', 'delts_rear'],
  legs: LEGS,
  lower: LEGS,
  conditioning: [],
  rest: [],
  open: [],
}

function isArm(group: Group): boolean {
  return (ARM_GROUPS as readonly Group[]).includes(group)
}

/** Groups that exercises may come and go for. */
function askedGroups({ scope = 'arms', chosen = [] }: AllocationQuestion): readonly Group[] {
  return GROUPS.filter(
    group => scope === 'all' || isArm(group) || (scope === 'chosen' && chosen.includes(group)),
  )
}

function fitsRole(role: DayRole, group: Group): boolean {
  return FITS[role]?.includes(group) ?? true
}

/** A slot with so many working sets; none where there are none. */
export function slotWith(slot: Slot, sets: number): Slot {
  const change = sets - plannedSets(slot.scheme)
  if (change === 0) return slot
  return {
    ...slot,
    scheme: change > 0 ? withSetsAdded(slot.scheme, change) : splitSets(slot.scheme, -change).kept,
  }
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

/** Pain keeps exercises out that the coach would have to take out again. */
function isSpared(slot: Pick<Slot, 'exercise' | 'intent'>, context: PlanContext): boolean {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  return isTooHard(intentFor(context, exercise, slot.intent).jointStress, context)
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

interface Terms {
  readonly asked: readonly Group[]
  readonly scope: AllocationScope
  readonly newAs: NewAs
}
interface Draft {
  readonly place: number
  readonly grouping: Grouping
  readonly slot: Slot
  readonly main: Group
  readonly isNew: boolean
}

/** Exercises that stand in the sessions and may change. */
function openSlots(
  places: readonly Omit<Place, 'base' | 'cells'>[],
  terms: Terms,
  context: PlanContext,
): readonly Draft[] {
  return places.flatMap(({ content }, place) =>
    content.groupings.flatMap(grouping =>
      grouping.slots.flatMap((slot): Draft[] => {
        const main = isOpen(slot, grouping, terms, context)
        return main ? [{ place, grouping, slot, main, isNew: false }] : []
      }),
    ),
  )
}

/** How so many sets of a new exercise are done. */
function newScheme(
  exercise: Exercise,
  sets: number,
  newAs: NewAs,
  context: PlanContext,
): SetScheme {
  const scheme = usualScheme(exercise, sets, context.method)
  return newAs === 'usual'
    ? scheme
    : {
        ...scheme,
        runs: scheme.runs.map(run => ({
          ...run,
          restAfter: { kind: 'seconds', seconds: FINISHER_REST },
        })),
      }
}

/** Exercises for a group that could be added on a day, best first. */
function choicesFor(
  group: Group,
  held: Omit<Place, 'base' | 'cells'>,
  input: CheckInput,
): readonly RankedChoice[] {
  const there = new Set<string>(
    input.sessions
      .filter(({ day }) => day === held.day)
      .flatMap(({ slots }) => slots.map(({ slot }) => slot.exercise)),
  )
  const isTrained = input.sessions.some(
    ({ day, work }) => day === held.day && work.some(({ credits }) => credits[group] === 1),
  )
  if (!fitsRole(held.role, group) && !isTrained) return []
  return rankedChoices(input, group, held.day)
    .filter(
      ({ exercise, intent }) =>
        (exercise.kind === 'isolation' || !isArm(group)) &&
        exercise.repUnit === 'reps' &&
        !there.has(exercise.id) &&
        !isSpared({ exercise: exerciseId(exercise.id), intent }, input.context),
    )
    .slice(0, isArm(group) ? CHOICES : OTHER_CHOICES)
}

/** Exercises that could be added on each day, each once. */
function newSlots(
  places: readonly Omit<Place, 'base' | 'cells'>[],
  input: CheckInput,
  { asked, newAs }: Terms,
): readonly Draft[] {
  const onDay = new Set<string>()
  return places.flatMap((held, place) => {
    const isLast = !places.some((other, at) => at > place && other.day === held.day)
    return isLast
      ? asked.flatMap(group =>
          choicesFor(group, held, input).flatMap(({ exercise, intent }): Draft[] => {
            const id = `new-${held.day}-${exercise.id}`
            if (onDay.size === onDay.add(id).size) return []
            const slot: Slot = {
              id: slotId(id),
              exercise: exerciseId(exercise.id),
              intent,
              scheme: newScheme(exercise, NEW_LEAST, newAs, input.context),
            }
            return [
              {
                place,
                grouping: {
                  id: groupingId(id),
                  kind: 'straight',
                  placement: newAs === 'finisher' ? 'finisher' : 'main',
                  slots: [slot],
                },
                slot,
                main: group,
                isNew: true,
              },
            ]
          }),
        )
      : []
  })
}

function cellOf(
  { place, grouping, slot, main, isNew }: Draft,
  at: number,
  held: Omit<Place, 'base' | 'cells'>,
  groups: readonly Group[],
  context: PlanContext,
): Cell {
  const now = isNew ? 0 : plannedSets(slot.scheme)
  const most = Math.max(MOST_SETS, now)
  const least = isNew ? NEW_LEAST : Math.min(NEW_LEAST, now)
  const values = [0, ...Array.from({ length: most - least + 1 }, (_, step) => least + step)]
  const worth = Array.from({ length: most + 1 }, (_, sets) =>
    worthOf(
      sets === 0 ? [] : workOf(held, [{ ...grouping, slots: [slotWith(slot, sets)] }], context),
      groups,
      context,
    ),
  )
  return { at, place, slot, grouping, main, isNew, now, values, worth }
}

/** What there is to decide about a plan, and what stands whatever is decided. */
export function allocationProblem(question: AllocationQuestion): Problem {
  const { plan, context, scope = 'arms', newAs = 'usual' } = question
  const terms: Terms = { asked: askedGroups(question), scope, newAs }
  const input = checkInput(plan, context)
  const places = plan.rotation.days.flatMap((day, at) =>
    day.sessions.map((content, session) => ({
      day: at,
      session,
      hour: at * HOURS_PER_DAY + session * SECOND_SESSION_HOURS,
      role: day.role,
      content,
    })),
  )
  const drafts = [...openSlots(places, terms, context), ...newSlots(places, input, terms)]
  const groups = GROUPS.filter(group =>
    drafts.some(
      ({ slot }) =>
        ((slot.credits ??
          intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
            .credits)[group] ?? 0) > 0,
    ),
  )
  const cells = drafts.flatMap((draft, at) => {
    const held = places[draft.place]
    return held ? [cellOf(draft, at, held, groups, context)] : []
  })
  const full = places.map((held, place): Place => {
    const own = cells.filter(cell => cell.place === place)
    const open = new Set<SlotId>(own.map(({ slot }) => slot.id))
    const fixed = held.content.groupings.flatMap((grouping): Grouping[] => {
      const [first, ...others] = grouping.slots.filter(({ id }) => !open.has(id))
      return first ? [{ ...grouping, slots: [first, ...others] }] : []
    })
    return { ...held, cells: own, base: worthOf(workOf(held, fixed, context), groups, context) }
  })
  const scale = 7 / plan.rotation.days.length
  const beside = groups.map(
    (group, g) =>
      input.ledger.groups[group].week.counted.value -
      scale *
        full.reduce(
          (sum, { base, cells: own }) =>
            sum +
            base.counted[g]! +
            own.reduce((part, { worth, now }) => part + (worth[now]?.counted[g] ?? 0), 0),
          0,
        ),
  )
  return { plan, context, input, groups, places: full, cells, asked: terms.asked, newAs, beside }
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
