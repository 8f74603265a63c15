import type { WeightUnit } from '../scheme'
import { type Gear, type GearField, type GearLine, parsedGear } from './gear'
import { amountIn } from './units'

/** What a bar is loaded with: the bar, and the plates there are in pairs, the heaviest first. */
export interface BarLoading {
  readonly bar: number
  readonly pairs: readonly { readonly weight: number; readonly count: number }[]
  /** Plates hang one by one, on a belt; else they go on in pairs. */
  readonly isBelt?: true
}

/** Weights that are there by themselves, and the small pieces one of which may be put on top. */
export interface TopLoading {
  readonly weights: readonly number[]
  readonly pieces: readonly number[]
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

/** Items of a line that go by a name. */
function namedIn(gear: Gear, field: GearField, wanted: string, unit: WeightUnit) {
  const line = lineOf(gear, field)
  return line
    ? line.items
        .filter(({ name }) => name === wanted)
        .map(({ weight }) => said(weight, line.unit, unit))
    : []
}

/** Dumbbells or pins with what can be put on top: the half weight of a stack, small plates that hold by a magnet. */
export function topLoading(gear: Gear, field: 'dumbbells' | 'stack', unit: WeightUnit): TopLoading {
  return {
    weights: weightsIn(gear, field, unit),
    pieces: rising([
      ...namedIn(gear, field, 'half', unit),
      ...namedIn(gear, 'micro', 'magnet', unit),
    ]),
  }
}

/** Every weight there is, by itself and with one piece on top. */
export const topWeights = ({ weights, pieces }: TopLoading): readonly number[] =>
  rising(weights.flatMap(weight => [weight, ...pieces.map(piece => weight + piece)]))

/** A weight, and the piece on top of it that together make a load; null on top where none is needed. */
export function takenApart(
  load: number,
  { weights, pieces }: TopLoading,
): { readonly weight: number; readonly piece: number | null } | undefined {
  const is = (sum: number) => Math.abs(sum - load) < 1e-6
  const bare = weights.find(is)
  if (bare !== undefined) return { weight: bare, piece: null }
  for (const weight of weights)
    for (const piece of pieces) if (is(weight + piece)) return { weight, piece }
  return undefined
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

/** Plates of pairs, one by one. */
const onBelt = (pairs: BarLoading['pairs']): BarLoading['pairs'] =>
  pairs.map(({ weight, count }) => ({ weight, count: 2 * count }))

const sidesOf = ({ isBelt }: BarLoading) => (isBelt ? 1 : 2)

/** How a kind of bar is loaded; null where the gym has not said which plates it has. */
export function barLoading(
  gear: Gear | undefined,
  kind: '' | 'cambered' | 'rail' | 'none' | 'belt',
  usualBar: number,
  unit: WeightUnit,
): BarLoading | null {
  const pairs = gear ? pairsIn(gear, unit) : []
  if (!gear || pairs.length === 0) return null
  const bars = lineOf(gear, 'bars')
  const named = bars?.items.find(({ name }) => name === kind)?.weight
  if (kind === 'belt') return { bar: 0, pairs: onBelt(pairs), isBelt: true }
  const bar =
    kind === 'none' ? 0 : bars && named !== undefined ? said(named, bars.unit, unit) : usualBar
  return { bar, pairs }
}

/** Heaviest that is asked of a bar; beyond it nobody's plates are counted. */
const HEAVIEST_BAR = 400

/** Every weight a bar can be loaded to. */
export function barWeights(loading: BarLoading): readonly number[] {
  const { bar, pairs } = loading
  const sides = sidesOf(loading)
  let sums = new Set([0])
  for (const { weight, count } of pairs) {
    const more = new Set(sums)
    for (const sum of sums)
      for (let n = 1; n <= count; n++) {
        const next = Math.round((sum + n * weight) * 1000) / 1000
        if (bar + sides * next <= HEAVIEST_BAR) more.add(next)
      }
    sums = more
  }
  return rising([...sums].map(sum => bar + sides * sum))
}

/**
 * Plates for one side of a bar, or for a belt, the fewest there can be, the heaviest first.
 *
 * Edge: undefined where the weight cannot be loaded; empty for the bar alone.
 */
export function platesASide(load: number, loading: BarLoading): readonly number[] | undefined {
  const side = Math.round(((load - loading.bar) / sidesOf(loading)) * 1000)
  if (side < 0) return undefined
  return fewest(side, loading.pairs, 0)
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
