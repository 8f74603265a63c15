import type { Rest, Span } from '../scheme'
import type { Cursor } from './cursor'

/* Numbers, seconds, texts and rests: what all parts of the shorthand are made of, both ways. */

const NUMBER = '\\d+(?:\\.\\d+)?(?:e-\\d+)?'

/** Builds the shape of a whole word out of `#`, which stands for a number. */
export function shape(pattern: string): RegExp {
  return new RegExp(`^${pattern.replaceAll('#', `(${NUMBER})`)}$`)
}

const SECONDS = shape('#s')
const SECONDS_RANGE = shape('#-#s')

/** A text in double quotes. */
export function quoted(text: string): string {
  return JSON.stringify(text)
}

/** Takes a quoted text or says that one is needed. */
export function requireText(cursor: Cursor): string {
  return cursor.takeText() ?? cursor.fail('a text in double quotes')
}

/** `5s` or `3-4s`. */
export function formatSpan(span: Span): string {
  return typeof span === 'number' ? `${span}s` : `${span.low}-${span.high}s`
}

/** Takes `5s` or `3-4s`. */
export function takeSpan(cursor: Cursor): Span | undefined {
  const one = cursor.takeShape(SECONDS)
  if (one) return Number(one[0])
  const two = cursor.takeShape(SECONDS_RANGE)
  return two && { low: Number(two[0]), high: Number(two[1]) }
}

/** Takes `90s` or says that seconds are needed. */
export function requireSeconds(cursor: Cursor): number {
  const found = cursor.takeShape(SECONDS)
  return found ? Number(found[0]) : cursor.fail('seconds such as 90s')
}

/** `90s`, `60-90s`, `none`, `"a few breaths"`, `stretch 15s`: a rest after a word that says which one. */
export function formatRestValue(rest: Rest): string {
  switch (rest.kind) {
    case 'seconds':
      return `${rest.seconds}s`
    case 'between':
      return `${rest.low}-${rest.high}s`
    case 'none':
      return 'none'
    case 'in_words':
      return quoted(rest.text)
    case 'stretch':
      return `stretch ${rest.seconds}s`
  }
}

/** Takes what `formatRestValue` writes. */
export function requireRestValue(cursor: Cursor): Rest {
  if (cursor.takeWords('none')) return { kind: 'none' }
  if (cursor.takeWords('stretch')) return { kind: 'stretch', seconds: requireSeconds(cursor) }
  const text = cursor.takeText()
  if (text !== undefined) return { kind: 'in_words', text }
  const span =
    takeSpan(cursor) ??
    cursor.fail('a rest such as 90s, 60-90s, none, stretch 15s or "a few breaths"')
  return typeof span === 'number'
    ? { kind: 'seconds', seconds: span }
    : { kind: 'between', ...span }
}

/** A rest that stands by itself: `rest 90s`, `no rest`, `stretch 15s`. */
export function formatRest(rest: Rest): string {
  if (rest.kind === 'none') return 'no rest'
  return rest.kind === 'stretch' ? formatRestValue(rest) : `rest ${formatRestValue(rest)}`
}

/** Takes what `formatRest` writes. */
export function takeRest(cursor: Cursor): Rest | undefined {
  if (cursor.takeWords('no', 'rest')) return { kind: 'none' }
  if (cursor.takeWords('stretch')) return { kind: 'stretch', seconds: requireSeconds(cursor) }
  if (cursor.peek(1)?.value === 'between' || !cursor.takeWords('rest')) return undefined
  return requireRestValue(cursor)
}

const PLAIN_ID = /^[a-z][a-z0-9_]*$/

/** An id as it is where that cannot be misread, else in quotes; an intent follows after a colon. */
export function formatExerciseRef(id: string, intent: string | null): string {
  const part = (text: string) => (PLAIN_ID.test(text) ? text : quoted(text))
  return intent === null ? part(id) : `${part(id)}:${part(intent)}`
}

/** Takes an exercise with its intent. */
export function requireExerciseRef(cursor: Cursor): {
  readonly id: string
  readonly intent: string | null
} {
  const takePart = () => cursor.takeText() ?? cursor.takeShape(/^([a-z][a-z0-9_]*)$/)?.[0]
  const id = takePart() ?? cursor.fail('an exercise such as cable_curl')
  if (!cursor.takeMark(':')) return { id, intent: null }
  return { id, intent: takePart() ?? cursor.fail('an intent') }
}
