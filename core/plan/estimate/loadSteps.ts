import type { Equipment, Exercise } from '../catalogue'
import type { WeightUnit } from '../scheme'
import type { Gear } from './gear'
import {
  type BarLoading,
  barLoading,
  barWeights,
  type TopLoading,
  topLoading,
  topWeights,
  weightsIn,
} from './loadable'

/** Weights that can be loaded: every `step` from `base` on, or the client's own list. */
export type LoadGrid =
  | {
      readonly kind: 'steps'
      readonly base: number
      readonly step: number
      readonly fineUpTo?: { readonly limit: number; readonly step: number }
    }
  | { readonly kind: 'list'; readonly weights: readonly number[] }
  | { readonly kind: 'none' }

interface Steps {
  readonly step: number
  readonly base: number
  readonly fineUpTo?: { readonly limit: number; readonly step: number }
}
type ByUnit = Readonly<Record<WeightUnit, Steps>>

/** Usual steps by what is loaded; a client's own list comes first. Source: docs/methods.md#load-steps. */
const STEPS = {
  barbell: { kg: { step: 2.5, base: 20 }, lb: { step: 5, base: 45 } },
  cambered_bar: { kg: { step: 2.5, base: 10 }, lb: { step: 5, base: 25 } },
  dumbbell: {
    kg: { step: 2, base: 0, fineUpTo: { limit: 10, step: 1 } },
    lb: { step: 5, base: 0, fineUpTo: { limit: 25, step: 2.5 } },
  },
  stack: { kg: { step: 5, base: 0 }, lb: { step: 10, base: 0 } },
  plates: { kg: { step: 5, base: 0 }, lb: { step: 5, base: 0 } },
  added: { kg: { step: 2.5, base: 0 }, lb: { step: 5, base: 0 } },
} as const satisfies Record<string, ByUnit>

function kindOfGrid({
  equipment,
  loadBasis,
}: Pick<Exercise, 'equipment' | 'loadBasis'>): keyof typeof STEPS | undefined {
  if (loadBasis === 'band' || loadBasis === 'angle') return undefined
  if (loadBasis === 'stack' || loadBasis === 'counterweight') return 'stack'
  if (loadBasis === 'added') return 'added'
  const has = (piece: Equipment) => equipment.includes(piece)
  if (has('dumbbell') || loadBasis === 'per_hand') return 'dumbbell'
  if (has('cambered_bar')) return 'cambered_bar'
  if (has('barbell') || has('rail_guided_barbell')) return 'barbell'
  return 'plates'
}

type Loaded = Pick<Exercise, 'equipment' | 'loadBasis' | 'loadStepKg'>

/** Which bar an exercise is loaded on; none for plates on a machine. */
const BAR_OF = { barbell: '', cambered_bar: 'cambered', plates: 'none', added: 'belt' } as const

/** How the bar of an exercise is loaded; null where it is none, or where nobody has said which plates there are. */
export function barOf(
  exercise: Loaded,
  unit: WeightUnit,
  gear: Gear | undefined,
): BarLoading | null {
  const kind = kindOfGrid(exercise)
  if (kind === undefined || kind === 'dumbbell' || kind === 'stack') return null
  if (exercise.equipment.includes('fixed_bar') || exercise.equipment.includes('kettlebell'))
    return null
  const bar = exercise.equipment.includes('rail_guided_barbell') ? 'rail' : BAR_OF[kind]
  return barLoading(gear, bar, STEPS[kind][unit].base, unit)
}

/** What can be put on top of a dumbbell or a stack; null where nothing is, or nobody has said what there is. */
export function topOf(
  exercise: Loaded,
  unit: WeightUnit,
  gear: Gear | undefined,
): TopLoading | null {
  const kind = kindOfGrid(exercise)
  if (!gear || (kind !== 'dumbbell' && kind !== 'stack')) return null
  if (exercise.equipment.includes('fixed_bar')) return null
  const top = topLoading(gear, kind === 'stack' ? 'stack' : 'dumbbells', unit)
  return top.weights.length > 0 && top.pieces.length > 0 ? top : null
}

function listedWeights(exercise: Loaded, unit: WeightUnit, gear: Gear): readonly number[] {
  if (exercise.equipment.includes('fixed_bar')) return weightsIn(gear, 'fixed_bars', unit)
  switch (kindOfGrid(exercise)) {
    case 'dumbbell':
      return topWeights(topLoading(gear, 'dumbbells', unit))
    case 'stack':
      return topWeights(topLoading(gear, 'stack', unit))
    default: {
      const bar = barOf(exercise, unit, gear)
      return bar ? barWeights(bar) : []
    }
  }
}

const gridsOf = new WeakMap<Gear, Map<string, LoadGrid | null>>()

/** The gym's own weights for an exercise; null where it has not listed any. */
function listedGrid(exercise: Loaded, unit: WeightUnit, gear: Gear): LoadGrid | null {
  const known = gridsOf.get(gear) ?? gridsOf.set(gear, new Map()).get(gear)!
  const key = `${unit} ${kindOfGrid(exercise)} ${exercise.equipment.join()}`
  const found = known.get(key)
  if (found !== undefined) return found
  const weights = listedWeights(exercise, unit, gear)
  const grid: LoadGrid | null = weights.length > 0 ? { kind: 'list', weights } : null
  known.set(key, grid)
  return grid
}

/**
 * The weights an exercise can be loaded with: those the gym has listed, else the usual steps; in pounds the pound steps, never a
 * converted kilogram step.
 */
export function loadGrid(exercise: Loaded, unit: WeightUnit, gear?: Gear): LoadGrid {
  const kind = kindOfGrid(exercise)
  if (!kind) return { kind: 'none' }
  const listed = gear ? listedGrid(exercise, unit, gear) : null
  if (listed) return listed
  const usual: Steps = STEPS[kind][unit]
  return {
    kind: 'steps',
    ...usual,
    step: unit === 'kg' && exercise.loadStepKg > 0 ? exercise.loadStepKg : usual.step,
  }
}

const SLACK = 1e-9

function onSteps(load: number, step: number, base: number, direction: 'near' | 'down'): number {
  const steps = (load - base) / step
  const whole = direction === 'down' ? Math.floor(steps + SLACK) : Math.ceil(steps - 0.5 - SLACK)
  return base + step * Math.max(0, whole)
}

/**
 * The nearest weight that can be loaded; `down` never goes above.
 *
 * Edge:   a tie goes down; below the lightest weight the lightest is given; without a grid the load stays as it is.
 * Source: docs/methods.md#load-steps; examples P9, P14, P19 and P23 in estimate.test.ts.
 */
export function roundLoad(
  load: number,
  grid: LoadGrid,
  direction: 'near' | 'down' = 'near',
): number {
  switch (grid.kind) {
    case 'none':
      return load
    case 'list':
      return onList(load, grid.weights, direction)
    case 'steps': {
      const { base, step, fineUpTo } = grid
      if (fineUpTo && load <= fineUpTo.limit + SLACK)
        return onSteps(load, fineUpTo.step, base, direction)
      return onSteps(load, step, fineUpTo ? fineUpTo.limit : base, direction)
    }
  }
}

function onList(load: number, weights: readonly number[], direction: 'near' | 'down'): number {
  const [lightest = load] = weights
  const below = weights.filter(weight => weight <= load + SLACK).at(-1) ?? lightest
  const above = weights.find(weight => weight > load + SLACK)
  if (direction === 'down' || above === undefined) return below
  return above - load < load - below - SLACK ? above : below
}

/** The next heavier weight that can be loaded; undefined where there is none. */
export function nextWeight(load: number, grid: LoadGrid): number | undefined {
  if (grid.kind === 'none') return undefined
  if (grid.kind === 'list') return grid.weights.find(weight => weight > load + SLACK)
  const { fineUpTo, step } = grid
  return (
    roundLoad(load, grid, 'down') +
    (fineUpTo && load < fineUpTo.limit - SLACK ? fineUpTo.step : step)
  )
}

/** The next lighter weight that can be loaded; the lightest stays as it is. */
export function previousWeight(load: number, grid: LoadGrid): number {
  if (grid.kind === 'none') return load
  if (grid.kind === 'list')
    return grid.weights.filter(weight => weight < load - SLACK).at(-1) ?? grid.weights[0] ?? load
  // Just below: on the grid that is the weight before, off it the one it stands above.
  return Math.min(
    load,
    roundLoad(load - Math.min(grid.step, grid.fineUpTo?.step ?? grid.step) / 100, grid, 'down'),
  )
}
