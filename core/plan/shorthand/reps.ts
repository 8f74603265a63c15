import type { Reps } from '../scheme'
import { shape } from './atoms'
import type { Cursor } from './cursor'

const ONE = shape('#')
const TWO = shape('#-#')
const FIRST_TO_LAST = shape('#\\.\\.#')
const AT_LEAST = shape('#\\+')
/** Numbers of reps set by set. */
const ROW = /^[\d.e-]+(?:\/[\d.e-]+)+$/

/** `9`, `7-9`, `up to 9`, `to failure 11-14`, `same as stage 1`, `until 30`, `16..9`, `2.5 of 3`. */
export function formatReps(reps: Reps): string {
  switch (reps.kind) {
    case 'exactly':
      return reps.intended === undefined ? String(reps.count) : `${reps.count} of ${reps.intended}`
    case 'between':
      return `${reps.low}-${reps.high}`
    case 'up_to':
      return `up to ${reps.high}`
    case 'to_failure':
      return ['to failure', failureWindow(reps)].filter(Boolean).join(' ')
    case 'same_as':
      return `same as stage ${reps.stage + 1}`
    case 'until_total':
      return `until ${reps.total}`
    case 'first_to_last':
      return `${reps.first}..${reps.last}`
  }
}

function failureWindow({ low, high }: { readonly low?: number; readonly high?: number }): string {
  if (low !== undefined && high !== undefined) return `${low}-${high}`
  if (low !== undefined) return `${low}+`
  return high === undefined ? '' : `max ${high}`
}

/** Whether reps may stand in a row such as 11/9/7-8. */
export function fitsRow(reps: Reps | undefined): reps is Reps {
  return reps?.kind === 'between' || (reps?.kind === 'exactly' && reps.intended === undefined)
}

function plainReps(word: string): Reps | undefined {
  const one = ONE.exec(word)
  if (one) return { kind: 'exactly', count: Number(one[1]) }
  const two = TWO.exec(word)
  return two ? { kind: 'between', low: Number(two[1]), high: Number(two[2]) } : undefined
}

/** Takes a row of reps, one value per set. */
export function takeRepsRow(cursor: Cursor): readonly Reps[] | undefined {
  const token = cursor.peek()
  if (token?.kind !== 'word' || !ROW.test(token.value)) return undefined
  const row = token.value.split('/').map(plainReps)
  if (row.includes(undefined)) cursor.fail('reps such as 11/9/7-8')
  cursor.next()
  return row as readonly Reps[]
}

function requireNumber(cursor: Cursor, what: string): number {
  const found = cursor.takeShape(ONE)
  return found ? Number(found[0]) : cursor.fail(what)
}

function takeFailure(cursor: Cursor): Reps {
  const window = cursor.takeShape(TWO)
  if (window) return { kind: 'to_failure', low: Number(window[0]), high: Number(window[1]) }
  const low = cursor.takeShape(AT_LEAST)
  if (low) return { kind: 'to_failure', low: Number(low[0]) }
  if (cursor.takeWords('max'))
    return { kind: 'to_failure', high: requireNumber(cursor, 'a number of reps') }
  return { kind: 'to_failure' }
}

/** Takes what `formatReps` writes. */
export function takeReps(cursor: Cursor): Reps | undefined {
  if (cursor.takeWords('to', 'failure')) return takeFailure(cursor)
  if (cursor.takeWords('up', 'to'))
    return { kind: 'up_to', high: requireNumber(cursor, 'a number of reps') }
  if (cursor.takeWords('until'))
    return { kind: 'until_total', total: requireNumber(cursor, 'a total such as 30') }
  if (cursor.takeWords('same', 'as', 'stage'))
    return { kind: 'same_as', stage: requireNumber(cursor, 'the number of a stage') - 1 }
  const ends = cursor.takeShape(FIRST_TO_LAST)
  if (ends) return { kind: 'first_to_last', first: Number(ends[0]), last: Number(ends[1]) }
  const token = cursor.peek()
  const plain = token?.kind === 'word' ? plainReps(token.value) : undefined
  if (!plain) return undefined
  cursor.next()
  if (plain.kind !== 'exactly' || !cursor.takeWords('of')) return plain
  return { ...plain, intended: requireNumber(cursor, 'the number of reps intended') }
}
