import type { WeightUnit } from '../scheme'
import { type Gear, type GearField, type GearLine, parsedGear } from './gear'
import { amountIn } from './units'

/** What a bar is loaded with: the bar, and the plates there are in pairs, the heaviest first. */
export interface BarLoading {
  readonly bar: number
  readonly pairs: readonly { readonly weight: number; readonly count: number }[]
}

function lineOf(gear: Gear, field: GearField): GearLine | undefined {
  const typed = gear[field]
  if (typed === undefined || typed.trim() === '') return undefined
  const read = parsedGear(field, typed)
  return read.ok && read.value.items.length > 0 ? read.value : undefined
}

const said = (weight: number, from: WeightUnit, unit: WeightUnit): number =>
  Math.round(amountIn({ amount: weight, unit: from }, unit) * 1000) / 1000

/** Weights of a line in a unit. */
export function weightsIn(gear: Gear, field: GearField, unit: WeightUnit): readonly number[] {
  const line = lineOf(gear, field)
  return line
    ? line.items
        .filter(({ name }) => name === '')
        .map(({ weight }) => said(weight, line.unit, unit))
    : []
}

/** Pins of a stack, with and without the half weight on top. */
export function stackWeights(gear: Gear, unit: WeightUnit): readonly number[] {
  const line = lineOf(gear, 'stack')
  if (!line) return []
  const pins = line.items.filter(({ name }) => name === '').map(({ weight }) => weight)
  const half = line.items.find(({ name }) => name === 'half')?.weight
  const all = half === undefined ? pins : pins.flatMap(pin => [pin, pin + half])
  return rising(all.map(weight => said(weight, line.unit, unit)))
}

const rising = (weights: readonly number[]): readonly number[] =>
  [...new Set(weights.map(weight => Math.round(weight * 1000) / 1000))].sort((a, b) => a - b)

/** The plates there are, in pairs, small ones among them, the heaviest first. */
function pairsIn(gear: Gear, unit: WeightUnit): BarLoading['pairs'] {
  return (['plates', 'micro'] as const)
    .flatMap(field => {
      const line = lineOf(gear, field)
      return line
        ? line.items.map(({ weight, count }) => ({ weight: said(weight, line.unit, unit), count }))
        : []
    })
    .sort((a, b) => b.weight - a.weight)
}

/** How a kind of bar is loaded; null where the gym has not said which plates it has. */
export function barLoading(
  gear: Gear | undefined,
  kind: '' | 'cambered' | 'rail' | 'none',
  usualBar: number,
  unit: WeightUnit,
): BarLoading | null {
  const pairs = gear ? pairsIn(gear, unit) : []
  if (!gear || pairs.length === 0) return null
  const bars = lineOf(gear, 'bars')
  const named = bars?.items.find(({ name }) => name === kind)?.weight
  const bar =
    kind === 'none' ? 0 : bars && named !== undefined ? said(named, bars.unit, unit) : usualBar
  return { bar, pairs }
}

/** Heaviest that is asked of a bar; beyond it nobody's plates are counted. */
const HEAVIEST_BAR = 400

/** Every weight a bar can be loaded to. */
export function barWeights({ bar, pairs }: BarLoading): readonly number[] {
  let sums = new Set([0])
  for (const { weight, count } of pairs) {
    const more = new Set(sums)
    for (const sum of sums)
      for (let n = 1; n <= count; n++) {
        const next = Math.round((sum + n * weight) * 1000) / 1000
        if (bar + 2 * next <= HEAVIEST_BAR) more.add(next)
      }
    sums = more
  }
  return rising([...sums].map(sum => bar + 2 * sum))
}

/**
 * Plates for one side of a bar, the fewest there can be, the heaviest first.
 *
 * Edge: undefined where the weight cannot be loaded; empty for the bar alone.
 */
export function platesASide(
  load: number,
  { bar, pairs }: BarLoading,
): readonly number[] | undefined {
  const side = Math.round(((load - bar) / 2) * 1000)
  if (side < 0) return undefined
  return fewest(side, pairs, 0)
}

/** Fewest plates that make up a side, in thousandths so that nothing is lost on the way. */
function fewest(
  side: number,
  pairs: BarLoading['pairs'],
  from: number,
): readonly number[] | undefined {
  if (side === 0) return []
  const pair = pairs[from]
  if (!pair) return undefined
  const one = Math.round(pair.weight * 1000)
  let best: readonly number[] | undefined
  for (let n = Math.min(pair.count, Math.floor(side / one)); n >= 0; n--) {
    const rest = fewest(side - n * one, pairs, from + 1)
    if (!rest) continue
    const plates = [...Array.from({ length: n }, () => pair.weight), ...rest]
    if (!best || plates.length < best.length) best = plates
  }
  return best
}
