import type { Load, LoadBasis, WeightUnit } from '../scheme'
import { quoted, requireText, shape } from './atoms'
import type { Cursor } from './cursor'

const WEIGHT = shape('([+-]?)#(kg|lb)')
const WEIGHT_ROW = /^[+-]?[\d./e-]+\/[\d.e-]+(?:kg|lb)$/
const PERCENT = shape('#%')
const ONE = shape('#')

type Weight = Extract<Load, { kind: 'weight' }>

const BASIS_WORDS: Readonly<Record<LoadBasis, readonly [before: string, after: string]>> = {
  total: ['', ''],
  per_side: ['', ' per side'],
  per_hand: ['', ' per hand'],
  added: ['+', ''],
  assisted: ['-', ''],
  stack: ['', ' stack'],
}

/** Weights of one unit and basis in a row, `40/45/50kg per hand`; a single one is a row of one. */
export function formatWeights(weights: readonly Weight[]): string {
  const [first] = weights
  if (!first) return ''
  const [before, after] = BASIS_WORDS[first.basis]
  return `${before}${weights.map(({ amount }) => amount).join('/')}${first.unit}${after}`
}

/** `20kg per hand`, `drop 30% of first`, `80% e1rm`, `stack 8`, `bodyweight`, `band "red"`, `load "light" max 20kg`. */
export function formatLoad(load: Load): string {
  switch (load.kind) {
    case 'weight':
      return formatWeights([load])
    case 'stack_position':
      return `stack ${load.position}`
    case 'percent_of_e1rm':
      return `${load.percent}% e1rm`
    case 'percent_of_usual':
      return `${load.percent}% usual`
    case 'drop_percent':
      return `drop ${load.percent}%${ofFirst(load.from)}`
    case 'drop_weight':
      return `drop ${load.amount}${load.unit}${ofFirst(load.from)}`
    case 'drop_open':
      return 'drop'
    case 'than_before':
      return load.direction
    case 'bodyweight':
      return 'bodyweight'
    case 'band':
      return `band ${quoted(load.name)}`
    case 'in_words':
      return `load ${quoted(load.text)}${load.atMost ? ` max ${load.atMost.amount}${load.atMost.unit}` : ''}`
  }
}

function ofFirst(from: 'first' | 'previous'): string {
  return from === 'first' ? ' of first' : ''
}

/** Whether a load is a drop, which reads best before the reps. */
export function isDrop(load: Load | undefined): boolean {
  return load?.kind === 'drop_percent' || load?.kind === 'drop_weight' || load?.kind === 'drop_open'
}

function basisAfter(cursor: Cursor, sign: string | undefined): LoadBasis {
  if (sign === '+') return 'added'
  if (sign === '-') return 'assisted'
  if (cursor.takeWords('per', 'hand')) return 'per_hand'
  if (cursor.takeWords('per', 'side')) return 'per_side'
  return cursor.takeWords('stack') ? 'stack' : 'total'
}

/** Takes a row of weights, one per set. */
export function takeWeightRow(cursor: Cursor): readonly Load[] | undefined {
  const token = cursor.peek()
  if (token?.kind !== 'word' || !WEIGHT_ROW.test(token.value)) return undefined
  const found = /^([+-]?)(.*)(kg|lb)$/.exec(token.value)
  const amounts = (found?.[2] ?? '')
    .split('/')
    .map(part => (ONE.test(part) ? Number(part) : Number.NaN))
  if (amounts.some(Number.isNaN)) cursor.fail('weights such as 40/45/50kg')
  cursor.next()
  const basis = basisAfter(cursor, found?.[1])
  return amounts.map(amount => ({ kind: 'weight', amount, unit: found?.[3] as WeightUnit, basis }))
}

function takeDrop(cursor: Cursor): Load {
  const percent = cursor.takeShape(PERCENT)
  if (percent) return { kind: 'drop_percent', percent: Number(percent[0]), from: dropBase(cursor) }
  const weight = cursor.takeShape(shape('#(kg|lb)'))
  if (weight)
    return {
      kind: 'drop_weight',
      amount: Number(weight[0]),
      unit: weight[1] as WeightUnit,
      from: dropBase(cursor),
    }
  return { kind: 'drop_open' }
}

function dropBase(cursor: Cursor): 'first' | 'previous' {
  return cursor.takeWords('of', 'first') ? 'first' : 'previous'
}

function takeLoadInWords(cursor: Cursor): Load {
  const text = requireText(cursor)
  if (!cursor.takeWords('max')) return { kind: 'in_words', text }
  const [amount, unit] = cursor.takeShape(shape('#(kg|lb)')) ?? cursor.fail('a weight such as 20kg')
  return { kind: 'in_words', text, atMost: { amount: Number(amount), unit: unit as WeightUnit } }
}

/** Takes what `formatLoad` writes. */
export function takeLoad(cursor: Cursor): Load | undefined {
  if (cursor.takeWords('drop')) return takeDrop(cursor)
  if (cursor.takeWords('bodyweight')) return { kind: 'bodyweight' }
  if (cursor.takeWords('heavier')) return { kind: 'than_before', direction: 'heavier' }
  if (cursor.takeWords('lighter')) return { kind: 'than_before', direction: 'lighter' }
  if (cursor.takeWords('band')) return { kind: 'band', name: requireText(cursor) }
  if (cursor.takeWords('load')) return takeLoadInWords(cursor)
  if (cursor.takeWords('stack')) {
    const [position] = cursor.takeShape(ONE) ?? cursor.fail('a position of the stack such as 8')
    return { kind: 'stack_position', position: Number(position) }
  }
  const weight = cursor.takeShape(WEIGHT)
  if (weight)
    return {
      kind: 'weight',
      amount: Number(weight[1]),
      unit: weight[2] as WeightUnit,
      basis: basisAfter(cursor, weight[0]),
    }
  const percent = cursor.takeShape(PERCENT)
  if (!percent) return undefined
  if (cursor.takeWords('usual')) return { kind: 'percent_of_usual', percent: Number(percent[0]) }
  if (!cursor.takeWords('e1rm')) cursor.fail('e1rm', 'usual')
  return { kind: 'percent_of_e1rm', percent: Number(percent[0]) }
}
