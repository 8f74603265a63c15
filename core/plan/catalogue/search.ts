import { isPossibleWith } from './catalogue'
import type { Equipment, Exercise, Intent } from './exercise'
import type { Joint } from './joints'
import type { Group, Muscle } from './muscles'

/** What a library is searched for; what is left out is not asked. */
export interface ExerciseSearch {
  readonly words?: string
  readonly group?: Group
  /** Gets at least an even share of its group. */
  readonly head?: Muscle
  readonly length?: Intent['lengthBias']
  readonly equipment?: readonly Equipment[]
  /** At most low stress on this joint. */
  readonly easyOn?: Joint
}

const LOW_STRESS = 1
const HEAD_SHARE = 1

function hasWords({ name, aliases, intents }: Exercise, words: string): boolean {
  const text = [name, ...aliases, ...intents.map(intent => intent.name)].join(' ').toLowerCase()
  return words
    .toLowerCase()
    .split(/\s+/)
    .every(word => text.includes(word))
}

/** Words of a note that say what, one phrase each: `Straight-bar curls, long days` is two. */
const phrasesOf = (note: string) =>
  note
    .toLowerCase()
    .split(/[,;.]| and | or /)
    .map(phrase => phrase.split(/[\s-]+/).map(word => word.replace(/(?<=\w{3})s$/, '')))
    .map(words => words.filter(word => word !== ''))
    .filter(words => words.length > 0)

/**
 * Whether a note names an exercise: all words of one of its phrases stand in the exercise's name.
 *
 * Edge: plurals and hyphens do not matter; a phrase that names no exercise warns of none.
 */
export const isNamedIn = (exercise: Exercise, note: string): boolean =>
  phrasesOf(note).some(words => hasWords(exercise, words.join(' ')))

function servesHead({ headShares, credits }: Intent, head: Muscle): boolean {
  return (Object.entries(headShares) as [Group, Readonly<Partial<Record<Muscle, number>>>][]).some(
    ([group, shares]) =>
      credits[group] === 1 && (shares[head] ?? 0) >= HEAD_SHARE / Object.keys(shares).length,
  )
}

/** Whether one purpose of an exercise answers everything that is asked. */
function answers(intent: Intent, { group, head, length, easyOn }: ExerciseSearch): boolean {
  return (
    (group === undefined || intent.credits[group] === 1) &&
    (head === undefined || servesHead(intent, head)) &&
    (length === undefined || intent.lengthBias === length) &&
    (easyOn === undefined || intent.jointStress[easyOn] <= LOW_STRESS)
  )
}

/**
 * Exercises that answer a search, in the order given.
 *
 * Edge: head, length and joint must hold for one and the same purpose; nothing asked gives everything.
 */
export function searchExercises(
  exercises: Iterable<Exercise>,
  search: ExerciseSearch,
): readonly Exercise[] {
  return [...exercises].filter(
    exercise =>
      hasWords(exercise, search.words ?? '') &&
      (!search.equipment || isPossibleWith(exercise, search.equipment)) &&
      exercise.intents.some(intent => answers(intent, search)),
  )
}
