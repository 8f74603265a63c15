import { failure, type Result, success } from '../../base'
import type { WeightUnit } from '../scheme'

interface GearRow {
  readonly name: string
  /** What a coach types; read by the same reader as everything else. */
  readonly example: string
  readonly what: string
}

/** What a gym can load, a line of text each: the only list of it. */
export const GEAR_TABLE = {
  dumbbells: {
    name: 'Dumbbells',
    example: '4-20 by 2, 22.5, 25',
    what: 'every weight there is',
  },
  fixed_bars: { name: 'Fixed bars', example: '10-40 by 5', what: 'every weight there is' },
  bars: {
    name: 'Bars',
    example: '20, cambered 10, rail 15',
    what: 'the empty bar; a cambered one and a guided one by name',
  },
  plates: {
    name: 'Plates, pairs',
    example: '20x4, 10x2, 5, 2.5, 1.25',
    what: 'weight of one plate, and how many pairs where there is more than one; on a belt they count one by one',
  },
  micro: {
    name: 'Small plates, pairs',
    example: '0.5, magnet 0.25',
    what: 'as plates; a magnet also holds on dumbbells and stacks',
  },
  stack: {
    name: 'Stacks',
    example: '5-100 by 5, half 2.5',
    what: 'every pin; a half weight to put on top by name',
  },
  bands: { name: 'Bands', example: 'yellow, red, black', what: 'names, the lightest first' },
} as const satisfies Readonly<Record<string, GearRow>>

export type GearField = keyof typeof GEAR_TABLE
export const GEAR_FIELDS = Object.keys(GEAR_TABLE) as readonly GearField[]
/** Lines as they were typed; one that is not there is as is usual. */
export type Gear = Readonly<Partial<Record<GearField, string>>>

/** One weight of a line: how often it is there, and what it is called. */
interface GearItem {
  readonly weight: number
  readonly count: number
  readonly name: string
}
export interface GearLine {
  readonly unit: WeightUnit
  readonly items: readonly GearItem[]
}

/** What is wrong with a line, and where: the part of it, from 1, with its text. */
export interface GearProblem {
  readonly part: number
  readonly text: string
  readonly why:
    | 'not_read'
    | 'no_step'
    | 'wrong_way'
    | 'too_many'
    | 'too_heavy'
    | 'not_above_zero'
    | 'no_name'
    | 'twice'
}

const MOST_ITEMS = 120
const HEAVIEST = 400
const MOST_PAIRS = 20
const NUMBER = '(\\d+(?:[.,]\\d+)?)'
const RANGE = new RegExp(`^${NUMBER}\\s*(?:-|–|to)\\s*${NUMBER}(?:\\s+by\\s+${NUMBER})?$`)
const ONE = new RegExp(`^(?:([a-z]+)\\s+)?${NUMBER}(?:\\s*x\\s*(\\d+))?$`)
const NAMES: Readonly<Partial<Record<GearField, readonly string[]>>> = {
  bars: ['straight', 'cambered', 'rail'],
  micro: ['magnet'],
  stack: ['half'],
}

const numberOf = (text: string): number => Number(text.replace(',', '.'))

type Part = Result<readonly GearItem[], GearProblem['why']>

function rangeOf([, from = '', to = '', by]: RegExpExecArray): Part {
  const [low, high] = [numberOf(from), numberOf(to)]
  const step = by === undefined ? Number.NaN : numberOf(by)
  if (Number.isNaN(step) || step <= 0) return failure('no_step')
  if (high < low) return failure('wrong_way')
  if (high > HEAVIEST) return failure('too_heavy')
  const count = Math.floor((high - low) / step + 1e-9) + 1
  if (count > MOST_ITEMS) return failure('too_many')
  return success(
    Array.from({ length: count }, (_, at) => ({
      weight: Math.round((low + at * step) * 1000) / 1000,
      count: 1,
      name: '',
    })),
  )
}

function oneOf(field: GearField, [, name = '', weight = '', pairs]: RegExpExecArray): Part {
  const count = pairs === undefined ? 1 : Number(pairs)
  const isCounted = field === 'plates' || field === 'micro'
  if (name !== '' && !NAMES[field]?.includes(name)) return failure('no_name')
  if (numberOf(weight) <= 0) return failure('not_above_zero')
  if (numberOf(weight) > HEAVIEST) return failure('too_heavy')
  if (count < 1 || count > MOST_PAIRS || (pairs !== undefined && !isCounted))
    return failure('not_read')
  return success([{ weight: numberOf(weight), count, name: name === 'straight' ? '' : name }])
}

function partOf(field: GearField, text: string): Part {
  if (field === 'bands') return success([{ weight: 0, count: 1, name: text }])
  const range = RANGE.exec(text)
  if (range) return rangeOf(range)
  const one = ONE.exec(text)
  return one ? oneOf(field, one) : failure('not_read')
}

/** Parts between commas; `22,5` is one number only where other commas have a space behind them. */
const partsOf = (text: string): readonly string[] =>
  text
    .replace(/by\s+(\d+),(\d+)(?![\d.])/g, 'by $1.$2')
    .split(/,\s|;/.test(text) ? /,(?!\d)|(?<!\d),|;/ : /,/)
    .map(part => part.trim())
    .filter(part => part !== '')

/**
 * A line of gear as it is typed: `4-20 by 2, 22.5, 25`, in kilograms unless it ends in `lb`.
 *
 * Shape:  weights in rising order, bands in the order typed.
 * Errors: the first part that cannot be read, with its place and the reason.
 */
export function parsedGear(field: GearField, typed: string): Result<GearLine, GearProblem> {
  const lower = typed.trim().toLowerCase()
  const unit: WeightUnit = /\blb$/.test(lower) ? 'lb' : 'kg'
  const items: GearItem[] = []
  const parts = partsOf(field === 'bands' ? lower : lower.replace(/\s*(?:kg|lb)$/, ''))
  for (const [at, text] of parts.entries()) {
    const found = partOf(field, text)
    const problem = (why: GearProblem['why']) => failure({ part: at + 1, text, why })
    if (!found.ok) return problem(found.error)
    const isTwice = found.value.some(({ weight, name }) =>
      items.some(other => other.weight === weight && other.name === name),
    )
    if (isTwice) return problem('twice')
    items.push(...found.value)
    if (items.length > MOST_ITEMS) return problem('too_many')
  }
  return success({
    unit,
    items: field === 'bands' ? items : [...items].sort((a, b) => a.weight - b.weight),
  })
}

const WHY: Readonly<Record<GearProblem['why'], string>> = {
  not_read: 'is not read; weights with commas between them, or 4-20 by 2',
  no_step: 'needs a step above 0, such as 4-20 by 2',
  wrong_way: 'ends below its beginning; turn it round',
  too_many: 'makes more weights than any gym has; give a larger step',
  too_heavy: `is heavier than ${HEAVIEST}; check the digits`,
  not_above_zero: 'has to be above 0',
  no_name: 'has a name that is not known here',
  twice: 'is there twice; leave one out',
}

/** What is wrong with a line, for whoever typed it: `Dumbbells: part 2, “x”, is not read; …`. */
export function gearSentence(field: GearField, { part, text, why }: GearProblem): string {
  const names = why === 'no_name' ? `: ${NAMES[field]?.join(', ') ?? 'none'}` : ''
  return `${GEAR_TABLE[field].name}: part ${part}, “${text.slice(0, 30)}”, ${WHY[why]}${names}.`
}
