import { directGroups, type Exercise, type Group, isPossibleWith } from '../catalogue'
import type { PlanContext } from '../method'
import { daySlots } from '../rotation'
import type { PlanDocument } from './planDocument'

/** An exercise that could be added, and what speaks for it. */
export interface ExerciseChoice {
  readonly exercise: Exercise
  /** The purpose under which it is direct for the group; null is the default. */
  readonly intent: string | null
  readonly isInPlan: boolean
}

/**
 * Exercises that give a group direct sets with the client's equipment, those already in the plan first.
 *
 * Edge: an exercise that serves the group only under another intent comes with that intent.
 */
export function exerciseChoices(plan: PlanDocument, group: Group, context: PlanContext): readonly ExerciseChoice[] {
  const planned = new Set<string>(plan.rotation.days.flatMap(day => daySlots(day).map(slot => slot.exercise)))
  const choices = [...context.catalogue.values()].flatMap((exercise): ExerciseChoice[] => {
    const at = exercise.intents.findIndex(intent => directGroups(intent.credits).includes(group))
    if (at < 0 || !isPossibleWith(exercise, context.client.equipment)) return []
    return [{ exercise, intent: at === 0 ? null : exercise.intents[at]?.id ?? null, isInPlan: planned.has(exercise.id) }]
  })
  return choices.sort((a, b) => Number(b.isInPlan) - Number(a.isInPlan) || Number(a.intent !== null) - Number(b.intent !== null))
}

/** Whether every word typed occurs in a name, an alias or the purpose of a choice. */
export function matchesChoice({ exercise, intent }: ExerciseChoice, typed: string): boolean {
  const purpose = exercise.intents.find(candidate => candidate.id === intent)?.name ?? ''
  const text = [exercise.name, ...exercise.aliases, purpose].join(' ').toLowerCase()
  return typed.toLowerCase().split(/\s+/).every(word => text.includes(word))
}
