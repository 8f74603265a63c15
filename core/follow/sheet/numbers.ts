import { failure, type Result, success } from '../../base'

/** What the fields of a log take. Far beyond anybody's training, near enough to catch a slip of the thumb. */
export const LOG_LIMITS = {
  load: { least: 0, most: 600 },
  reps: { least: 0, most: 150 },
  seconds: { least: 0, most: 900 },
  rir: { least: 0, most: 10 },
  minutes: { least: 1, most: 360 },
  /** Of warming up, and of the way to the gym and back. */
  asideMinutes: { least: 0, most: 180 },
} as const
export type LogField = keyof typeof LOG_LIMITS

export type NumberProblem =
  | { readonly kind: 'empty' }
  | { readonly kind: 'not_a_number'; readonly text: string }
  | {
      readonly kind: 'out_of_range'
      readonly value: number
      readonly least: number
      readonly most: number
    }
  | { readonly kind: 'not_whole'; readonly value: number }

const WHOLE: readonly LogField[] = ['reps', 'minutes', 'asideMinutes']
/** Half reps are reported, so reps may end on a half. */
const HALVES = 2

/**
 * A number as a hand types it: `27,5` and `27.5` are the same.
 *
 * Errors: empty, no number, outside `LOG_LIMITS`, or a part of a rep that nobody can do.
 */
export function parsedNumber(text: string, field: LogField): Result<number, NumberProblem> {
  const plain = text
    .trim()
    .replace(/\u00a0|\s/g, '')
    .replace(',', '.')
  if (plain === '') return failure({ kind: 'empty' })
  if (!/^[+-]?\d+(\.\d+)?$/.test(plain)) return failure({ kind: 'not_a_number', text: text.trim() })
  const value = Number(plain)
  const { least, most } = LOG_LIMITS[field]
  if (value < least || value > most) return failure({ kind: 'out_of_range', value, least, most })
  if (WHOLE.includes(field) && !Number.isInteger(value * HALVES))
    return failure({ kind: 'not_whole', value })
  return success(value)
}

/** Asked about a figure far outside what the person has done of an exercise; `usual` is the middle of that. */
export function farSentence(
  field: LogField,
  { value, usual, unit }: { readonly value: number; readonly usual: number; readonly unit: string },
): string {
  return `${FIELD_WORDS[field]}: ${saidNumber(value)}${unit} is far from the usual ${saidNumber(usual)}${unit}.`
}
/** A number as it is said: two places at most, none where it is whole. */
export const saidNumber = (value: number) => String(Math.round(value * 100) / 100)

const FIELD_WORDS: Readonly<Record<LogField, string>> = {
  load: 'Load',
  reps: 'Reps',
  seconds: 'Seconds',
  rir: 'Reps left',
  minutes: 'Minutes',
  asideMinutes: 'Minutes',
}

/** What is wrong with a number and what to do, for whoever typed it. */
export function numberSentence(problem: NumberProblem, field: LogField): string {
  const name = FIELD_WORDS[field]
  switch (problem.kind) {
    case 'empty':
      return `${name}: enter a number.`
    case 'not_a_number':
      return `${name}: “${problem.text.slice(0, 20)}” is not a number. Digits and one comma or point will do.`
    case 'out_of_range':
      return problem.value < problem.least
        ? `${name} cannot be below ${problem.least}. Check the sign.`
        : `${name} may be ${problem.most} at most; ${problem.value} looks like a slip. Check the digits.`
    case 'not_whole':
      return `${name}: whole or half numbers only.`
  }
}
