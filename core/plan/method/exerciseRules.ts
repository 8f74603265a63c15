/** What holds for one exercise and this client alone. */
export interface ExerciseRule {
  readonly exercise: string
  /** No working set heavier than this; null is no limit. Units: kilograms, as its load is said. */
  readonly mostKg: number | null
  /** What is done in its place; null leaves it in use. */
  readonly instead: string | null
}

/** The part of a client's facts that this reads. */
interface Ruled {
  readonly avoid?: readonly string[]
  readonly exerciseRules?: readonly ExerciseRule[]
}

const ruleFor = ({ exerciseRules = [] }: Ruled, exercise: string) =>
  exerciseRules.find(rule => rule.exercise === exercise)

/** The heaviest working set of an exercise; Infinity where the coach has set no limit. Units: kilograms. */
export function mostKgOf(client: Ruled, exercise: string): number {
  return ruleFor(client, exercise)?.mostKg ?? Infinity
}

/** What the client does in place of an exercise; null where it is done as it is. */
export function insteadOf(client: Ruled, exercise: string): string | null {
  return ruleFor(client, exercise)?.instead ?? null
}

/** Exercises that nothing may plan for the client: those to avoid, and those another is done in place of. */
export function notPlanned(client: Ruled): readonly string[] {
  return [
    ...(client.avoid ?? []),
    ...(client.exerciseRules ?? []).flatMap(({ exercise, instead }) => (instead ? [exercise] : [])),
  ]
}
