import { kilogramsOf, saidAmount } from '#core/plan/estimate'
import type { ExerciseRule } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'

/** A rule for an exercise, as it is entered; the load in the client's own unit. */
export interface FormExerciseRule {
  exercise: string
  most: string
  instead: string
  /** Said in the exercise's story, and kept here. */
  sides?: ExerciseRule['sides'] | undefined
}

/** A rule as its fields hold it. */
export function formRule(
  { exercise, mostKg, instead, sides }: ExerciseRule,
  unit: Profile['units'],
): FormExerciseRule {
  return {
    exercise,
    most: mostKg === null ? '' : String(saidAmount(mostKg, unit)),
    instead: instead ?? '',
    sides,
  }
}

/** What the fields of a rule say; not judged here. */
export function ruleOf(
  { exercise, most, instead, sides }: FormExerciseRule,
  unit: Profile['units'],
): unknown {
  const amount = Number(most.replace(',', '.'))
  return {
    exercise,
    mostKg: most.trim() === '' ? null : kilogramsOf({ amount, unit }),
    instead: instead === '' ? null : instead,
    ...(sides && { sides }),
  }
}
