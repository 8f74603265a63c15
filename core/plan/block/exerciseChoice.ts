import { remembered } from '../../base'
import {
  directGroups,
  type Exercise,
  type Group,
  isPossibleWith,
  monthsFor,
  requireIntent,
} from '../catalogue'
import { notPlanned, type PlanContext } from '../method'
import { daySlots, type RotationDay } from '../rotation'
import type { PlanDocument } from './planDocument'

/** An exercise that could be added, and what speaks for it. */
export interface ExerciseChoice {
  readonly exercise: Exercise
  /** The purpose under which it is direct for the group; null is the default. */
  readonly intent: string | null
  readonly isInPlan: boolean
}

/**
 * Exercises that give a group direct sets with the client's equipment, those already in the plan first; what the client avoids is left out.
 *
 * Edge: an exercise that serves the group only under another intent comes with that intent.
 */
export function exerciseChoices(
  plan: PlanDocument,
  group: Group,
  context: PlanContext,
): readonly ExerciseChoice[] {
  return possibleChoices(context)(group)
    .map(choice => ({ ...choice, isInPlan: isPlanned(plan, choice.exercise.id) }))
    .sort((a, b) => Number(b.isInPlan) - Number(a.isInPlan))
}

/** For so few sets nobody sets up something that is hard on a joint. */
const FEW_SETS = 2

/**
 * The choice that comes first for some sets of a group, without making the whole list: what is in the plan already, else
 * what the client's months of training allow, and for a set or two what is kindest to the joints.
 */
export function firstChoice(
  plan: PlanDocument,
  group: Group,
  context: PlanContext,
  sets = Infinity,
): ExerciseChoice | undefined {
  const choices = possibleChoices(context)(group)
  const known = choices.find(({ exercise }) => isPlanned(plan, exercise.id))
  if (known) return { ...known, isInPlan: true }
  const fitting = choices.filter(
    ({ exercise }) => monthsFor(exercise.id) <= context.client.trainingAgeMonths,
  )
  if (sets > FEW_SETS) return fitting[0] ?? choices[0]
  const stress = ({ exercise, intent }: ExerciseChoice) =>
    Math.max(...Object.values(requireIntent(exercise, intent).jointStress))
  return fitting.reduce<ExerciseChoice | undefined>(
    (kindest, choice) => (kindest && stress(kindest) <= stress(choice) ? kindest : choice),
    undefined,
  )
}

const NOTHING = {}
const exercisesOf = remembered(
  (day: RotationDay, _: object): ReadonlySet<string> =>
    new Set<string>(daySlots(day).map(slot => slot.exercise)),
)

function isPlanned({ rotation }: PlanDocument, id: string): boolean {
  return rotation.days.some(day => exercisesOf(day, NOTHING).has(id))
}

/** Choices of a client for each group, the default purposes first; the catalogue is walked once per context. */
const possibleChoices = (context: PlanContext) => choicesByGroup(context, NOTHING)
const choicesByGroup = remembered((context: PlanContext, _: object) => {
  const known = new Map<Group, readonly ExerciseChoice[]>()
  return (group: Group): readonly ExerciseChoice[] => {
    const choices = known.get(group) ?? choicesFor(group, context)
    known.set(group, choices)
    return choices
  }
})

function choicesFor(group: Group, context: PlanContext): readonly ExerciseChoice[] {
  const choices = [...context.catalogue.values()].flatMap((exercise): ExerciseChoice[] => {
    const at = exercise.intents.findIndex(intent => directGroups(intent.credits).includes(group))
    if (
      at < 0 ||
      !isPossibleWith(exercise, context.client.equipment) ||
      notPlanned(context.client).includes(exercise.id)
    )
      return []
    return [
      { exercise, intent: at === 0 ? null : (exercise.intents[at]?.id ?? null), isInPlan: false },
    ]
  })
  return choices.sort((a, b) => Number(a.intent !== null) - Number(b.intent !== null))
}

/** Whether every word typed occurs in a name, an alias or the purpose of a choice. */
export function matchesChoice({ exercise, intent }: ExerciseChoice, typed: string): boolean {
  const purpose = exercise.intents.find(candidate => candidate.id === intent)?.name ?? ''
  const text = [exercise.name, ...exercise.aliases, purpose].join(' ').toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every(word => text.includes(word))
}
