import { directGroups, requireExercise } from '../catalogue'
import { intentFor, type PlanContext } from '../method'
import { daySlots } from '../rotation'
import { exerciseChoices } from './exerciseChoice'
import type { PlanDocument } from './planDocument'

const MOST_CREDIT_APART = 0.25

/** Exercises that could take turns with one of the rotation: for the same muscle, and worth nearly the same there. */
export function choicesForSlot(
  plan: PlanDocument,
  context: PlanContext,
  slotId: string,
): readonly { readonly exercise: string; readonly intent: string | null; readonly name: string }[] {
  const slot = plan.rotation.days.flatMap(daySlots).find(({ id }) => id === slotId)
  if (!slot) return []
  const own = intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
  const [group] = directGroups(own.credits)
  if (!group) return []
  return exerciseChoices(plan, group, context)
    .filter(
      ({ exercise, intent }) =>
        exercise.id !== slot.exercise &&
        Math.abs(
          (intentFor(context, exercise, intent).credits[group] ?? 0) - (own.credits[group] ?? 0),
        ) <= MOST_CREDIT_APART,
    )
    .map(({ exercise, intent }) => ({ exercise: exercise.id, intent, name: exercise.name }))
}
