import { exerciseId, groupingId, slotId } from '../../base'
import { usualScheme } from '../../plan/block'
import { ARM_GROUPS, type Exercise, type Group, isNamedIn } from '../../plan/catalogue'
import type { CheckInput } from '../../judge/checks'
import { isTooHard, soreJoints } from '../../body/joints'
import { intentFor, type PlanContext } from '../../plan/method'
import type { DayRole } from '../../plan/rotation'
import type { SetScheme } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { type RankedChoice, rankedChoices } from '../suggest'
import {
  type Bare,
  type Draft,
  isArm,
  NEW_LEAST,
  type NewAs,
  type Terms,
  type Withheld,
} from './cells'

/** New exercises offered for each group on each day. */
const CHOICES = 6
/** Fewer for muscles beside the arms, whose exercises are many and cost more of everything. */
const OTHER_CHOICES = 2
/** Stress on a joint from which on an exercise is not what one begins with. */
const HARSH_STRESS = 3
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

function fitsRole(role: DayRole, group: Group): boolean {
  return FITS[role]?.includes(group) ?? true
}

/** What keeps an exercise out that the coach would have to take out again; undefined where nothing does. */
function withheldBy(
  { exercise, intent }: RankedChoice,
  context: PlanContext,
): Withheld['why'] | undefined {
  const { jointStress } = intentFor(context, exercise, intent)
  if (isTooHard(jointStress, context)) return soreJoints(jointStress, context)[0]
  const notes = context.client.provokedBy ?? []
  return notes.some(note => isNamedIn(exercise, note)) ? 'notes' : undefined
}

/** How so many sets of a new exercise are done. */
export function newScheme(
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

/** What loads a joint hard, or needs safeties that are not there, is not what one begins with. */
const isHarsh = ({ exercise, intent }: RankedChoice, context: PlanContext): boolean =>
  Math.max(...Object.values(intentFor(context, exercise, intent).jointStress)) >= HARSH_STRESS ||
  (exercise.cautions.includes('fail_needs_safety') && !context.client.hasSafeties)

/** Choices with the kinder ones first. */
const kindlyRanked = (choices: readonly RankedChoice[], context: PlanContext) => [
  ...choices.filter(choice => !isHarsh(choice, context)),
  ...choices.filter(choice => isHarsh(choice, context)),
]

/** Exercises for a group that the client may begin with on a day, the kinder ones first. */
export const offers = (group: Group, day: number, input: CheckInput): readonly RankedChoice[] =>
  kindlyRanked(
    rankedChoices(input, group, day).filter(
      choice =>
        choice.exercise.repUnit === 'reps' && withheldBy(choice, input.context) === undefined,
    ),
    input.context,
  )

/** Exercises for a group that could be added on a day, best first. */
function choicesFor(
  group: Group,
  held: Bare,
  input: CheckInput,
  isFromNothing: boolean,
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
  const choices = rankedChoices(input, group, held.day).filter(
    ({ exercise }) =>
      (exercise.kind === 'isolation' || !isArm(group)) &&
      exercise.repUnit === 'reps' &&
      !there.has(exercise.id),
  )
  return isFromNothing ? kindlyRanked(choices, input.context) : choices
}

const mostChoices = (group: Group) => (isArm(group) ? CHOICES : OTHER_CHOICES)

/** What would be offered on each day were it not for pain and notes, each exercise once. */
export function withheldChoices(
  places: readonly Bare[],
  input: CheckInput,
  { asked, backbone }: Terms,
): readonly Withheld[] {
  const found = places.flatMap(held =>
    asked.flatMap(group =>
      choicesFor(group, held, input, backbone !== undefined)
        .slice(0, mostChoices(group))
        .flatMap((choice): Withheld[] => {
          const why = withheldBy(choice, input.context)
          return why ? [{ exercise: choice.exercise.id, day: held.day, why }] : []
        }),
    ),
  )
  return [...new Map(found.map(one => [one.exercise, one])).values()]
}

/** A new exercise at a session, by itself and with the fewest sets. */
function draftOf(
  { exercise, intent }: RankedChoice,
  main: Group,
  place: number,
  {
    day,
    newAs,
    context,
  }: { readonly day: number; readonly newAs: NewAs; readonly context: PlanContext },
): Draft {
  const id = `new-${day}-${exercise.id}`
  const slot: Slot = {
    id: slotId(id),
    exercise: exerciseId(exercise.id),
    intent,
    scheme: newScheme(exercise, NEW_LEAST, newAs, context),
  }
  const placement = newAs === 'finisher' ? 'finisher' : 'main'
  const grouping = {
    id: groupingId(id),
    kind: 'straight' as const,
    placement,
    slots: [slot],
  } as const
  return { place, grouping, slot, main, isNew: true }
}

/** Exercises that could be added on each day, each once. */
export function newSlots(
  places: readonly Bare[],
  input: CheckInput,
  { asked, newAs, backbone }: Terms,
): readonly Draft[] {
  const { context } = input
  const drafts = places.flatMap((held, place) => {
    const isLast = !places.some((other, at) => at > place && other.day === held.day)
    if (!isLast) return []
    return asked.flatMap(group =>
      choicesFor(group, held, input, backbone !== undefined)
        .filter(choice => withheldBy(choice, context) === undefined)
        .slice(0, mostChoices(group))
        .map(choice => draftOf(choice, group, place, { day: held.day, newAs, context })),
    )
  })
  return drafts.filter(
    ({ slot }, at) => drafts.findIndex(other => other.slot.id === slot.id) === at,
  )
}
