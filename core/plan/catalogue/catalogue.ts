import { assert } from '../../base'
import type { Credits, Equipment, Exercise, HeadShares, Intent } from './exercise'
import { ELBOW_EXTENSION } from './exercises/elbowExtension'
import { ELBOW_FLEXION } from './exercises/elbowFlexion'
import { PRESSES } from './exercises/presses'
import { PULLS } from './exercises/pulls'
import { REST_OF_BODY } from './exercises/restOfBody'
import { VARIANTS } from './exercises/variants'
import { WRIST_AND_GRIP } from './exercises/wristAndGrip'
import { GROUP_MUSCLES, type Group, type Muscle } from './muscles'

/** The exercises that come with the program, in the order of the library screen. */
export const EXERCISES = [
  ...ELBOW_FLEXION,
  ...ELBOW_EXTENSION,
  ...PRESSES,
  ...PULLS,
  ...WRIST_AND_GRIP,
  ...REST_OF_BODY,
  ...VARIANTS,
] as const satisfies readonly Exercise[]

/** Id of a built-in exercise. */
export type CatalogueId = (typeof EXERCISES)[number]['id']

/** Every exercise a plan may name, by id. */
export type Catalogue = ReadonlyMap<string, Exercise>

/** The catalogue without anything a coach has added. */
export const BUILT_IN_CATALOGUE: Catalogue = new Map<string, Exercise>(
  EXERCISES.map(exercise => [exercise.id, exercise]),
)

/** The exercise an id names. Errors: InvariantError for an unknown id; parse plans before computing with them. */
export function requireExercise(catalogue: Catalogue, id: string): Exercise {
  const exercise = catalogue.get(id)
  assert(exercise, `unknown exercise ${id}`)
  return exercise
}

/** The intent with the given id; null asks for the default one. Errors: InvariantError for an unknown id. */
export function requireIntent(exercise: Exercise, intentId: string | null): Intent {
  if (intentId === null) return exercise.intents[0]
  const intent = exercise.intents.find(candidate => candidate.id === intentId)
  assert(intent, `${exercise.id} has no intent ${intentId}`)
  return intent
}

/** Share of a group's sets that falls on one of its muscles, 0 to 1; a group with one muscle gives it all. */
export function headShare(shares: HeadShares, group: Group, muscle: Muscle): number {
  const heads: readonly Muscle[] = GROUP_MUSCLES[group]
  if (heads.length === 1) return heads[0] === muscle ? 1 : 0
  return shares[group]?.[muscle] ?? 0
}

/** What does the work of another piece. */
const SERVES: Readonly<Partial<Record<Equipment, readonly Equipment[]>>> = {
  bench: ['incline_bench'],
  assisted_station: ['machine'],
}

/** Pieces that something needs and the client does not have; an empty list of equipment means no limit. */
export function missingPieces(
  needs: readonly Equipment[],
  equipment: readonly Equipment[],
): readonly Equipment[] {
  const has = (piece: Equipment) =>
    [piece, ...(SERVES[piece] ?? [])].some(one => equipment.includes(one))
  return equipment.length === 0 ? [] : needs.filter(piece => piece !== 'bodyweight' && !has(piece))
}

/** Whether the client has everything the exercise needs. */
export function isPossibleWith(exercise: Exercise, equipment: readonly Equipment[]): boolean {
  return missingPieces(exercise.equipment, equipment).length === 0
}

/** The groups an exercise or intent is chosen for. */
export function directGroups(credits: Credits): readonly Group[] {
  return (Object.keys(credits) as Group[]).filter(group => credits[group] === 1)
}

/** The groups that work along in it. */
export function indirectGroups(credits: Credits): readonly Group[] {
  return (Object.keys(credits) as Group[]).filter(
    group => 0 < credits[group]! && credits[group]! < 1,
  )
}
