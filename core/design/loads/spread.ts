import {
  estimatedOneRep,
  loadForReps,
  nextWeight,
  previousWeight,
  roundLoad,
} from '../../plan/estimate'
import { shareOfLoad } from '../progress'
import type { Place } from './places'
import type { Scale } from './scale'
import type { Shape } from './shape'

type Amounts = (number | undefined)[]

export interface Spread {
  readonly places: readonly Place[]
  readonly shape: Shape
  readonly scale: Scale
  /** Load of the reference. */
  readonly load: number
  /** What was lifted last at each place, and at the reference; for sets that are only said to be heavier or lighter. */
  readonly lastAt: readonly (number | undefined)[]
  readonly last: number | undefined
  /** One-rep estimate, own body with it, and the usual load: for sets that are a share of them. */
  readonly oneRep: () => number | undefined
  readonly usual: () => number | undefined
}

const middleOf = ([low, high]: readonly [number, number]) => Math.floor((low + high) / 2)

/** Heavier by at least one step where there is one; the heaviest there is else. */
const above = (load: number, { grid }: Scale) => nextWeight(load, grid) ?? load
const below = (load: number, { grid }: Scale) => previousWeight(load, grid)

/** A place's weight by its difference from the reference; the named weight itself while the reference is the named one. */
function byOffset({ load, shape, scale }: Spread, at: number): number | undefined {
  const offset = shape.offsets[at]
  if (offset === undefined) return undefined
  if (offset === 0) return load
  // A weight as it was named is not put right, unless what there is to load is known.
  return load === shape.named && scale.grid.kind !== 'list'
    ? load + offset
    : roundLoad(load + offset, scale.grid)
}

/** What a set said to be heavier or lighter begins with: as last time, moved along with the reference, else from the reference's estimate. */
function byOwn(
  { load, last, lastAt, places, shape, scale }: Spread,
  at: number,
): number | undefined {
  const before = lastAt[at]
  if (before !== undefined && last !== undefined)
    return load === last ? before : roundLoad(before + load - last, scale.grid)
  const ref = places[shape.reference]
  const own = places[at]
  if (!ref || !own || load + scale.body <= 0) return undefined
  const oneRep = estimatedOneRep(load + scale.body, middleOf(ref.range), ref.rir)?.load
  return oneRep === undefined
    ? undefined
    : roundLoad(loadForReps(oneRep, middleOf(own.range), own.rir) - scale.body, scale.grid)
}

/** The load of a place after another one: what the plan says of it, held to its direction. */
function after(spread: Spread, at: number, amounts: Amounts): number | undefined {
  const { places, scale } = spread
  const { ask } = places[at]!
  const before = amounts[lastWorking(places, at)]
  const first = amounts[places.findIndex(({ isWorking }) => isWorking)]
  switch (ask.kind) {
    case 'named':
    case 'step':
    case 'like_before':
      return before
    case 'heavier':
      return before === undefined
        ? undefined
        : Math.max(above(before, scale), byOwn(spread, at) ?? -Infinity)
    case 'lighter':
      return before === undefined
        ? undefined
        : Math.min(below(before, scale), byOwn(spread, at) ?? Infinity)
    case 'share':
    case 'less': {
      const base = ask.of === 'first' ? first : before
      if (base === undefined || (ask.kind === 'less' && ask.by === 0)) return base
      return ask.kind === 'share'
        ? shareOfLoad(base, ask.by, scale.grid, scale.body)
        : roundLoad(base - ask.by, scale.grid, 'down')
    }
    case 'of_one_rep':
      return put(spread.oneRep(), oneRep => roundLoad(oneRep * ask.share - scale.body, scale.grid))
    case 'of_usual':
      return put(spread.usual(), usual => shareOfLoad(usual, ask.share, scale.grid, scale.body))
    case 'none':
      return undefined
  }
}

const put = (known: number | undefined, as: (known: number) => number): number | undefined =>
  known === undefined ? undefined : as(known)

function lastWorking(places: readonly Place[], at: number): number {
  for (let before = at - 1; before >= 0; before--) if (places[before]!.isWorking) return before
  return -1
}

/** The load of a place that comes before the reference, from the one after it. */
function earlier(spread: Spread, at: number, amounts: Amounts): number | undefined {
  const { places, scale } = spread
  const next = places.findIndex(({ isWorking }, there) => there > at && isWorking)
  const later = amounts[next]
  const own = byOwn(spread, at)
  if (later === undefined) return own
  switch (places[next]!.ask.kind) {
    case 'heavier':
      return Math.min(below(later, scale), own ?? Infinity)
    case 'lighter':
      return Math.max(above(later, scale), own ?? -Infinity)
    case 'like_before':
      return later
    default:
      return own
  }
}

/**
 * The load of every place from the load of the reference, by the shape.
 *
 * Shape: one entry a place; undefined where nothing says a number.
 * Units: those of the scale.
 */
export function spreadLoads(spread: Spread): readonly (number | undefined)[] {
  const { places, shape, lastAt, last, load, scale } = spread
  const amounts: Amounts = places.map((_, at) => byOffset(spread, at))
  if (shape.reference >= 0) amounts[shape.reference] = load
  for (let at = shape.reference - 1; at >= 0; at--)
    if (places[at]!.isWorking && amounts[at] === undefined && places[at]!.ask.kind !== 'none')
      amounts[at] = earlier(spread, at, amounts)
  places.forEach(({ isWorking, ask }, at) => {
    if (amounts[at] !== undefined || ask.kind === 'none') return
    if (isWorking) amounts[at] = after(spread, at, amounts)
    // Building up to the top, a set goes along with it as it did last time.
    else if (lastAt[at] !== undefined && last !== undefined)
      amounts[at] = roundLoad(lastAt[at] + load - last, scale.grid)
  })
  return amounts
}

/** What a shape lost when it was put on weights that can be loaded. */
export type ShapeLoss = 'no_heavier' | 'flattened'

/**
 * A ladder kept a ladder: each set that rises by the plan is at least a step above the one before, each that falls a step below.
 *
 * Edge: where there is no heavier weight the last ones stay alike, and it is told.
 */
export function keptInShape(
  amounts: readonly (number | undefined)[],
  { places, shape, scale }: Pick<Spread, 'places' | 'shape' | 'scale'>,
): { readonly amounts: readonly (number | undefined)[]; readonly loss: ShapeLoss | null } {
  if (!shape.isLadder) return { amounts, loss: null }
  const kept: Amounts = [...amounts]
  let loss: ShapeLoss | null = null
  const steps = places.flatMap((_, at) => {
    const before = lastWorking(places, at)
    const [own, other] = [shape.offsets[at], shape.offsets[before]]
    return places[at]!.isWorking && own !== undefined && other !== undefined
      ? [{ at, before, rise: Math.sign(own - other) }]
      : []
  })
  const isRising = shape.reference !== steps[0]?.before
  // A rising ladder is held to its top, which is the reference; a falling one to its first set.
  for (const { at, before, rise } of isRising ? [...steps].reverse() : steps) {
    const [high, low] = [kept[at], kept[before]]
    if (high === undefined || low === undefined || rise === 0) continue
    if (rise > 0 ? high > low : high < low) continue
    if (isRising) {
      const moved = rise > 0 ? below(high, scale) : above(high, scale)
      if (moved === high) loss = 'flattened'
      kept[before] = moved
    } else {
      const moved = rise > 0 ? above(low, scale) : below(low, scale)
      if (moved === low) loss = rise > 0 ? 'no_heavier' : 'flattened'
      kept[at] = moved
    }
  }
  return { amounts: kept, loss }
}
