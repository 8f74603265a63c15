import { BUILT_IN_CATALOGUE, type Catalogue } from './catalogue'
import type { Credits, Exercise, HeadShares } from './exercise'
import { GROUP_MUSCLES, type Group, type Muscle } from './muscles'

/** Ids of exercises that a coach has added begin so; no built-in one does. */
export const OWN_EXERCISE_PREFIX = 'own-'

/** Credits that replace those of the catalogue, by credit key. */
export type CreditChanges = Readonly<Record<string, Credits>>

/** What a coach has added to the built-in exercises, and changed about them for everyone. */
export interface Library {
  readonly exercises: readonly Exercise[]
  readonly credits: CreditChanges
}

/** The key under which changed credits are kept: of one purpose, or of every purpose where none is named. */
export function creditKey(exercise: string, intent: string | null): string {
  return intent === null ? exercise : `${exercise}:${intent}`
}

/** The changed credits that hold for a purpose; those of the one purpose win over those of all. */
export function creditsFor(
  changes: CreditChanges,
  exercise: string,
  intent: string,
): Credits | undefined {
  return changes[creditKey(exercise, intent)] ?? changes[exercise]
}

/** Every exercise a coach's plans may name, with the credits that hold for all her clients. */
export function catalogueWith(library: Library): Catalogue {
  const known = catalogues.get(library) ?? madeWith(library)
  catalogues.set(library, known)
  return known
}

const catalogues = new WeakMap<Library, Catalogue>()

function madeWith({ exercises, credits }: Library): Catalogue {
  if (exercises.length === 0 && Object.keys(credits).length === 0) return BUILT_IN_CATALOGUE
  const all = new Map<string, Exercise>([
    ...BUILT_IN_CATALOGUE,
    ...exercises.map((exercise): [string, Exercise] => [exercise.id, exercise]),
  ])
  for (const key of Object.keys(credits)) {
    const exercise = all.get(key.split(':')[0] ?? '')
    if (exercise) all.set(exercise.id, withCredits(exercise, credits))
  }
  return all
}

function withCredits(exercise: Exercise, credits: CreditChanges): Exercise {
  const [first, ...others] = exercise.intents.map(intent => {
    const changed = creditsFor(credits, exercise.id, intent.id)
    return changed ? { ...intent, credits: changed } : intent
  })
  return first ? { ...exercise, intents: [first, ...others] } : exercise
}

/** Shares that treat the heads of every credited group alike; shares that are known already stay. */
export function evenShares(credits: Credits, known: HeadShares = {}): HeadShares {
  return Object.fromEntries(
    (Object.keys(credits) as Group[]).flatMap(group => {
      const heads: readonly Muscle[] = GROUP_MUSCLES[group]
      if (heads.length === 1) return []
      return [
        [group, known[group] ?? Object.fromEntries(heads.map(head => [head, 1 / heads.length]))],
      ]
    }),
  )
}
