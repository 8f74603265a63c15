import { type ExerciseId, exerciseId } from '../../base'
import type { Catalogue, Exercise } from '../../plan/catalogue'
import { AGREED_NAMES, FILLERS, MUSCLE_WORDS, SPELLINGS } from './spellings'

/** What a name was read as. */
export interface NameReading {
  /** The exercise that is meant; undefined where it could be several, or none. */
  readonly exercise: ExerciseId | undefined
  /** What it could be, likeliest first; empty where it is known or nothing comes near. */
  readonly near: readonly ExerciseId[]
}
export type NameReader = (name: string) => NameReading

const MOST_NEAR = 5
/** Below this share of common pairs of letters two names have nothing to do with each other. */
const LEAST_LIKE = 0.34
/** From this share on a word is another one with a slip in it. */
const LEAST_SPELT = 0.55

/** Small letters without accents and signs, one space between words, as other spellings are written here. */
function plainly(text: string): string {
  const letters = text
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ø', 'o')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
  return SPELLINGS.reduce(
    (spelt, [written, meant]) =>
      spelt.includes(` ${written} `) && !(meant.includes(written) && spelt.includes(` ${meant} `))
        ? spelt.replaceAll(` ${written} `, ` ${meant} `)
        : spelt,
    ` ${letters} `,
  ).trim()
}

const single = (word: string) => (word.length > 2 && /[^s]s$/.test(word) ? word.slice(0, -1) : word)

/** The words a name consists of, without order, plurals, fillers and muscles named besides. */
function wordsOf(text: string): readonly string[] {
  const words = [...new Set(plainly(text).split(' ').map(single))].filter(
    word => word !== '' && !FILLERS.has(word),
  )
  const withoutMuscles = words.filter(word => !MUSCLE_WORDS.has(word))
  return withoutMuscles.length > 0 ? withoutMuscles : words
}
const keyOf = (words: readonly string[]) => [...words].sort().join(' ')

const pairsOf = (text: string) =>
  new Set(Array.from({ length: Math.max(text.length - 1, 1) }, (_, at) => text.slice(at, at + 2)))

/** The share of pairs of letters two words have in common, 0 to 1. */
function likeness(a: string, b: string): number {
  const [ofA, ofB] = [pairsOf(a), pairsOf(b)]
  const common = [...ofA].filter(pair => ofB.has(pair)).length
  return (2 * common) / (ofA.size + ofB.size)
}

interface Phrase {
  readonly exercise: string
  readonly words: readonly string[]
  readonly key: string
}
const phrasesOf = ({ id, name, aliases }: Exercise): readonly Phrase[] =>
  [name, ...aliases, id].map(text => {
    const words = wordsOf(text)
    return { exercise: id, words, key: keyOf(words) }
  })

/** A misspelt word is the one word of the catalogue that is much like it; the others stay. */
function mended(words: readonly string[], known: ReadonlySet<string>): readonly string[] {
  return words.map(word => {
    if (known.has(word) || word.length < 5) return word
    const like = [...known].filter(
      other =>
        other[0] === word[0] &&
        Math.abs(other.length - word.length) <= 1 &&
        likeness(word, other) >= LEAST_SPELT,
    )
    return like.length === 1 ? like[0]! : word
  })
}

function nearest(words: readonly string[], phrases: readonly Phrase[]): readonly ExerciseId[] {
  const key = keyOf(words)
  const best = new Map<string, number>()
  for (const phrase of phrases) {
    const common = phrase.words.filter(word => words.includes(word)).length
    const ofWords = (2 * common) / (phrase.words.length + words.length)
    const score = Math.max(ofWords, likeness(phrase.key, key) * 0.9)
    if (score >= LEAST_LIKE)
      best.set(phrase.exercise, Math.max(score, best.get(phrase.exercise) ?? 0))
  }
  return [...best]
    .sort(([a, x], [b, y]) => y - x || a.localeCompare(b, 'en'))
    .slice(0, MOST_NEAR)
    .map(([id]) => exerciseId(id))
}

/**
 * Reads the names of exercises as coaches write them: other spellings, plurals, short forms, words in another order, a
 * slip of the hand.
 *
 * Shape:  the exercise where it can only be one, else what comes near.
 * Edge:   a name that leaves out what tells two exercises apart is a question (`curls`), unless coaches agree on what it
 *         means (`bench`); a word more or less is another exercise; brackets are no part of a name.
 * Source: docs/formats.md#names-of-exercises; the table in `spellings.ts`.
 */
export function nameReader(catalogue: Catalogue): NameReader {
  const phrases = [...catalogue.values()].flatMap(phrasesOf)
  const known = new Set(phrases.flatMap(({ words }) => words))
  const exact = new Map<string, Set<string>>()
  for (const { key, exercise } of phrases)
    exact.set(key, (exact.get(key) ?? new Set()).add(exercise))
  const agreed = new Map(
    AGREED_NAMES.filter(([, id]) => catalogue.has(id)).map(([name, id]) => [
      keyOf(wordsOf(name)),
      id,
    ]),
  )
  const remembered = new Map<string, NameReading>()
  const sure = (id: string): NameReading => ({ exercise: exerciseId(id), near: [] })

  function read(name: string): NameReading {
    if (catalogue.has(name.trim())) return sure(name.trim())
    const words = mended(wordsOf(name), known)
    if (words.length === 0) return { exercise: undefined, near: [] }
    const own = exact.get(keyOf(words))
    if (own?.size === 1) return sure([...own][0]!)
    const meant = agreed.get(keyOf(words))
    if (meant !== undefined) return sure(meant)
    return { exercise: undefined, near: nearest(words, phrases) }
  }
  return name => {
    const before = remembered.get(name)
    if (before) return before
    const reading = read(name)
    remembered.set(name, reading)
    return reading
  }
}
