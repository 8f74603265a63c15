import type { Exercise } from '../../plan/catalogue'
import { amountIn, bodyLoad, type LoadGrid, loadGrid, saidAmount } from '../../plan/estimate'
import type { PlanContext } from '../../plan/method'
import { type SetScheme, type WeightUnit, workStages } from '../../plan/scheme'
import { heaviestFor } from '../progress'

/**
 * How the loads of an exercise are reckoned: in one unit, more always being harder, so that what a counterweight takes
 * off stands below zero.
 */
export interface Scale {
  readonly unit: WeightUnit
  readonly grid: LoadGrid
  readonly sign: 1 | -1
  /** What the body adds to every load; 0 where it adds nothing, or nobody knows what it weighs. */
  readonly body: number
  /** The heaviest load the coach allows. */
  readonly most: number
}

/** Heaviest counterweight that is reckoned with. */
const MOST_TAKEN_OFF = 150

/** The same weights seen from the other side: the more is taken off, the easier. */
function mirrored(grid: LoadGrid): LoadGrid {
  if (grid.kind === 'none') return grid
  const weights =
    grid.kind === 'list'
      ? grid.weights
      : Array.from(
          { length: Math.floor(MOST_TAKEN_OFF / grid.step) + 1 },
          (_, at) => grid.base + at * grid.step,
        )
  return { kind: 'list', weights: weights.map(weight => (weight === 0 ? 0 : -weight)).reverse() }
}

/** Plates of a stack, counted. */
const POSITIONS: LoadGrid = { kind: 'steps', base: 1, step: 1 }

const loadsOf = (scheme: SetScheme) =>
  scheme.runs
    .filter(({ role }) => role !== 'warmup')
    .flatMap(run => workStages(run).map(({ load }) => load))

/** The scale of an exercise done by a scheme: the unit the plan names, else the client's; by itself where no scheme is known. */
export function scaleOf(
  scheme: SetScheme | null,
  exercise: Exercise,
  context: PlanContext,
  { unit: clientUnit, bodyKg }: { readonly unit: WeightUnit; readonly bodyKg: number | null },
): Scale {
  const loads = scheme ? loadsOf(scheme) : []
  const named = loads.flatMap(load => (load?.kind === 'weight' ? [load] : []))
  const unit = named[0]?.unit ?? clientUnit
  const isTakenOff =
    named[0] === undefined ? exercise.loadBasis === 'counterweight' : named[0].basis === 'assisted'
  const isCounted = named.length === 0 && loads.some(load => load?.kind === 'stack_position')
  const grid = isCounted ? POSITIONS : loadGrid(exercise, unit, context.client.gear)
  const own = bodyKg === null ? undefined : bodyLoad(exercise.id, bodyKg, 0)
  return {
    unit,
    grid: isTakenOff ? mirrored(grid) : grid,
    sign: isTakenOff ? -1 : 1,
    body: own === undefined ? 0 : amountIn({ amount: own, unit: 'kg' }, unit),
    most: isTakenOff ? Infinity : heaviestFor(exercise, unit, context.client),
  }
}

/** A logged load on the scale. */
export const onScale = (kg: number, { unit, sign }: Pick<Scale, 'unit' | 'sign'>): number =>
  kg === 0 ? 0 : sign * saidAmount(kg, unit)
