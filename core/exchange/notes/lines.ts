import type { ExerciseId } from '../../base'
import type { SetScheme, WeightUnit } from '../../plan/scheme'
import { parseScheme } from '../../plan/shorthand'
import type { NameReader } from '../naming'
import { MOVEMENT_WORDS } from '../naming'
import { PIECES, type PieceKind } from './pieces'

/** One exercise as it was written. */
export interface NotedExercise {
  /** The name as it was written. */
  readonly name: string
  /** What it is read as; undefined where it must be said. */
  readonly exercise: ExerciseId | undefined
  readonly near: readonly ExerciseId[]
  /** The sets; undefined where the line names none, so that the usual ones are taken. */
  readonly scheme: SetScheme | undefined
  /** How many sets where no reps were given. */
  readonly setCount: number | undefined
  /** What was said besides, kept as the note of its place. */
  readonly note: string | undefined
  /** A part of the line that was not understood. */
  readonly unread: string | undefined
}

/** What notes are read with. */
export interface NoteReading {
  readonly read: NameReader
  /** What loads without a unit are in. */
  readonly unit: WeightUnit
}

/** `@ 80` behind an exercise: a load, since no effort is that high. */
const BARE_LOAD = /@(?:@\s?(\d+(?:[.,]\d+)?)|\s?(\d{2,3}(?:[.,]\d+)?))(?![\p{L}\d%.,])/u

const GAP = '\u0001'
type Pieces = Partial<Record<PieceKind, string>>

/** The same text without accents, letter for letter, so that places in it are places in the text. */
const folded = (text: string) =>
  [...text.normalize('NFC')]
    .map(letter => (letter.length === 1 ? (letter.normalize('NFKD')[0] ?? letter) : letter))
    .join('')

/** Takes the pieces out of a text; what is left has gaps where they stood. */
function taken(text: string): { readonly pieces: Pieces; readonly left: string } {
  const pieces: Pieces = {}
  let left = text.normalize('NFC')
  for (const { kind, spelling, written } of PIECES) {
    if (pieces[kind] !== undefined) continue
    const found = spelling.exec(folded(left))
    const piece = found ? written(found) : undefined
    if (!found || piece === undefined) continue
    pieces[kind] = piece
    left = `${left.slice(0, found.index)} ${GAP} ${left.slice(found.index + found[0].length)}`
  }
  return { pieces, left }
}

const ORDER: readonly PieceKind[] = ['load', 'effort', 'tempo', 'sides', 'rest']
const LAST_TO_FAILURE = 'last: to failure'
const COUNT_ONLY = /^\d+(?:-\d+)?$/

/** The last set until no rep is possible: a row of its own, since it is not one set more. */
function lastToFailure(sets: string, features: readonly string[]): string {
  const [, count = '', reps = ''] = /^(\d+) x (.*)$/.exec(sets) ?? []
  if (Number(count) < 2 || reps.includes('/')) return [sets, ...features].join(', ')
  const load = features.filter(feature => /kg|lb|bodyweight/.test(feature))
  return [`${Number(count) - 1} x ${reps}`, ...features, 'then 1 x to failure', ...load].join(', ')
}

function schemeOf(pieces: Pieces): SetScheme | undefined {
  const sets =
    pieces.sets !== undefined && COUNT_ONLY.test(pieces.sets) && pieces.reps !== undefined
      ? `${pieces.sets} x ${pieces.reps}`
      : pieces.sets
  if (sets === undefined || COUNT_ONLY.test(sets)) return undefined
  const features = ORDER.flatMap(kind => pieces[kind] ?? [])
  const text =
    pieces.last === LAST_TO_FAILURE
      ? lastToFailure(sets, features)
      : [sets, ...features, ...(pieces.last ? [pieces.last] : [])].join(', ')
  const read = parseScheme(text)
  return read.ok ? read.value : undefined
}

const CONNECTING =
  /^(?:[\s,;:@=|•–—-]|\b(?:x|for|of|with|w|at|then|do|à)\b)+|(?:[\s,;:@=|•–—-]|\b(?:x|for|of|with|w|at|then|à)\b)+$/gi
const tidy = (text: string) => text.replace(CONNECTING, '').replace(/\s+/g, ' ').trim()

/** Remarks in brackets or quotes go into the note, and out of the way of everything else. */
function withoutRemarks(text: string): {
  readonly text: string
  readonly remarks: readonly string[]
} {
  const remarks: string[] = []
  const rest = text.replace(
    /\(([^)]*)\)|"([^"]{3,})"|“([^”]*)”/g,
    (_, ...inner: (string | undefined)[]) => {
      const words = (inner.slice(0, 3).find(part => part !== undefined) ?? '').trim()
      // Brackets that hold what belongs to the sets are read with them.
      if (words === '' || Object.keys(taken(words).pieces).length > 0) return ` ${words} `
      remarks.push(words)
      return ' '
    },
  )
  return { text: rest, remarks }
}

const saysMovement = (words: string) =>
  words
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .some(word => MOVEMENT_WORDS.has(word.replace(/s$/, '')))

/** One exercise with its sets; undefined where a text has neither a name nor sets. */
export function notedExercise(
  written: string,
  { read, unit }: NoteReading,
): NotedExercise | undefined {
  const { text, remarks } = withoutRemarks(written.replace(/^\s*[a-h]\)\s+/i, ''))
  const { pieces, left } = taken(
    text.replace(BARE_LOAD, (_, said?: string, load = said) => ` ${load}${unit}`),
  )
  const parts = left
    .split(GAP)
    .map(tidy)
    .filter(part => part !== '')
  const [name, ...besides] = parts
  if (name === undefined) return undefined
  const { exercise, near } = read(name)
  const unread = besides.find(part => saysMovement(part) || /\d/.test(part))
  const notes = [...besides.filter(part => part !== unread), ...remarks]
  const scheme = schemeOf(pieces)
  const count = pieces.sets !== undefined && COUNT_ONLY.test(pieces.sets) ? pieces.sets : undefined
  return {
    name,
    exercise,
    near,
    scheme,
    setCount: scheme || count === undefined ? undefined : Number(count.split('-')[0]),
    note: notes.length > 0 ? notes.join('; ') : undefined,
    unread:
      unread ??
      (scheme || pieces.sets === undefined || count !== undefined ? undefined : pieces.sets),
  }
}

/** Whether a text says how much of something is done. */
export const saysSets = (text: string): boolean => taken(text).pieces.sets !== undefined

/** A piece of a line that goes on with the one before: `rest 90s`, `8`, `drop last`. */
function goesOn(part: string): boolean {
  const { left } = taken(part.trim())
  return tidy(left.replaceAll(GAP, ' ')).replace(/[\d/.\s-]/g, '') === ''
}

const TOGETHER = /\s+(?:\+|&|\/|ss|s\/s|superset(?:ted)? with|superset|supersatz mit|w\/|into)\s+/i

/** The exercises of a line, in groups: those done together stand in one. */
export function piecesOfLine(line: string): readonly (readonly string[])[] {
  const parts: string[] = []
  const cut = line.replace(/\.{2,}|\t/g, ' ').split(/\s*(?:,(?!\d)|,\s+|[;|])\s*|\s+(?=[a-h]\)\s)/i)
  for (const part of cut) {
    const before = parts.at(-1)
    if (before !== undefined && (goesOn(part) || !saysSets(before)))
      parts[parts.length - 1] = `${before}, ${part}`
    else if (part.trim() !== '') parts.push(part)
  }
  return parts.map(part => {
    const together: string[] = []
    for (const one of part.split(TOGETHER)) {
      const before = together.at(-1)
      if (before !== undefined && (goesOn(one) || !saysSets(one) || !saysSets(before)))
        together[together.length - 1] = `${before} + ${one}`
      else if (one.trim() !== '') together.push(one)
    }
    return together
  })
}
