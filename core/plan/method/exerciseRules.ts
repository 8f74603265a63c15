/** What holds for one exercise and this client alone. */
export interface ExerciseRule {
  readonly exercise: string
  /** No working set heavier than this; null is no limit. Units: kilograms, as its load is said. */
  readonly mostKg: number | null
  /** What is done in its place; null leaves it in use. */
  readonly instead: string | null
  /** How left and right are done where one of them is weaker. */
  readonly sides?: SideRule
}

export const SIDE_ORDERS = ['first', 'match'] as const
/** `first`: the weak side begins. `match`: it begins, and the other stops at its reps. */
export interface SideRule {
  readonly weak: 'left' | 'right'
  readonly rule: (typeof SIDE_ORDERS)[number]
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

/** How the client does left and right of an exercise; undefined where nothing is said. */
export const sidesRule = (client: Ruled, exercise: string): SideRule | undefined =>
  ruleFor(client, exercise)?.sides

/** Exercises that nothing may plan for the client: those to avoid, and those another is done in place of. */
export function notPlanned(client: Ruled): readonly string[] {
  return [
    ...(client.avoid ?? []),
    ...(client.exerciseRules ?? []).flatMap(({ exercise, instead }) => (instead ? [exercise] : [])),
  ]
}

/** Rules with another one about the sides of an exercise; a rule that says nothing any more is left out. */
export function withSides(
  rules: readonly ExerciseRule[],
  exercise: string,
  sides: SideRule | null,
): readonly ExerciseRule[] {
  const known = rules.find(rule => rule.exercise === exercise)
  const { sides: _, ...kept } = known ?? { exercise, mostKg: null, instead: null }
  const others = rules.filter(rule => rule.exercise !== exercise)
  if (sides) return [...others, { ...kept, sides }]
  return kept.mostKg === null && kept.instead === null ? others : [...others, kept]
}
