import { failure, type Result, success } from '../../base'
import { LAPSE_WORDS, SET_LAPSES, type SetLapse } from '../../body/log'
import { numberSentence, parsedNumber } from './numbers'

/** One part of a set as it was typed: reps, and load and reserve where they were said. */
export interface TypedPart {
  readonly count: number
  readonly amount: number | null
  readonly rir: number | null
  readonly isRirOpen: boolean
  readonly lapses: readonly SetLapse[]
}

/** A set typed in one line has more than a number: `6@20, drop 5@16`, `8@30 r1 helped`. */
const PLAIN_NUMBER = /^\s*\d+(?:[.,]\d+)?\s*\+?\s*$/
export const isTypedSet = (text: string): boolean =>
  !PLAIN_NUMBER.test(text) && /^\s*\d.*[@,+a-z]/i.test(text)

const COMMAS = /\s*(?:,(?!\d)|,(?=\s*\d+\s*@)|\+(?!\s*(?:left|$|[,;]))|;|\bthen\b)\s*/i
const PART =
  /^(?:drop|pause|and)?\s*(?<count>\d+(?:[.,]5)?)\s*(?:@\s*(?<amount>\d+(?:[.,]\d+)?)\s*(?:kg|lb)?)?\s*(?:r\s*(?<rir>\d+)(?<open>\+)?|(?<left>\d+)(?<leftOpen>\+)?\s*left)?\s*(?<rest>[a-z ]*)$/i
const MOST_PARTS = 12

/** Lapses named in words, in any order; undefined where a word is none. */
function lapsesOf(words: string): readonly SetLapse[] | undefined {
  const lapses = SET_LAPSES.filter(lapse => words.includes(LAPSE_WORDS[lapse]))
  const left = lapses.reduce((text, lapse) => text.replace(LAPSE_WORDS[lapse], ''), words)
  return left.replace(/\band\b/g, '').trim() === '' ? lapses : undefined
}

const notRead = (text: string) =>
  `“${text.slice(0, 30)}” is not read. Write parts as reps@load: 6@20, drop 5@16; then r1 for one left, or cut short, loose, helped.`

function readPart(text: string): Result<TypedPart, string> {
  const { count, amount, rir, open, left, leftOpen, rest } = PART.exec(text)?.groups ?? {}
  const lapses = lapsesOf((rest ?? '').toLowerCase().trim())
  if (count === undefined || !lapses) return failure(notRead(text))
  const reps = parsedNumber(count, 'reps')
  if (!reps.ok) return failure(numberSentence(reps.error, 'reps'))
  const load = amount === undefined ? null : parsedNumber(amount, 'load')
  if (load && !load.ok) return failure(numberSentence(load.error, 'load'))
  const said = rir ?? left
  const reserve = said === undefined ? null : parsedNumber(said, 'rir')
  if (reserve && !reserve.ok) return failure(numberSentence(reserve.error, 'rir'))
  return success({
    count: reps.value,
    amount: load ? load.value : null,
    rir: reserve ? reserve.value : null,
    isRirOpen: open !== undefined || leftOpen !== undefined,
    lapses,
  })
}

/**
 * A set as it is typed in one line, part by part: `6@20, drop 5@16` is six reps with 20, then five with 16; `8@30, pause 3` goes on
 * with the same load after a pause.
 *
 * Shape:  at least one part, in the order done; a part without a load was done with the load before it.
 * Errors: a sentence that says which part is not read and how to write it.
 */
export function readTypedSet(text: string): Result<readonly TypedPart[], string> {
  const texts = text.trim().split(COMMAS).filter(Boolean)
  if (texts.length === 0) return failure(notRead(text))
  if (texts.length > MOST_PARTS)
    return failure(`A set has ${MOST_PARTS} parts at most. Log the rest as another set.`)
  const parts: TypedPart[] = []
  for (const one of texts) {
    const part = readPart(one)
    if (!part.ok) return part
    parts.push({ ...part.value, amount: part.value.amount ?? parts.at(-1)?.amount ?? null })
  }
  return success(parts)
}
