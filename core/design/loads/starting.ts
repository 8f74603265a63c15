import type { ExerciseId } from '../../base'
import type { Exposure } from '../../body/log'
import { directGroups, type Exercise, requireExercise } from '../../plan/catalogue'
import { loadForReps, roundLoad } from '../../plan/estimate'
import { intentFor } from '../../plan/method'
import type { WeightUnit } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { carefulOneRep } from './followed'
import type { LoadBasis } from './loadCase'
import { placesOf } from './places'
import { scaleOf } from './scale'
import { shapeOf } from './shape'

/** A load to begin with, from what is known of an exercise like it. */
export interface StartingLoad {
  readonly amount: number
  readonly unit: WeightUnit
  readonly from: ExerciseId
  /** How far off it may well be, in percent. */
  readonly margin: number
}

/** What a lift allows of another with the same movement and muscles, by how they are loaded: careful rules of thumb. Source: docs/methods.md#loads. */
const RATIOS: Readonly<
  Partial<Record<`${Exercise['loadBasis']} ${Exercise['loadBasis']}`, number>>
> = {
  'total total': 0.8,
  'stack stack': 0.8,
  'per_hand per_hand': 0.8,
  'total per_hand': 0.35,
  'per_hand total': 1.6,
}
const MARGIN = 20

interface Likely {
  readonly exercise: Exercise
  readonly exposures: readonly Exposure[]
  readonly ratio: number
}

/** Logged exercises with the same movement that train the same muscle directly, in the order of the log. */
function like(
  slot: Slot,
  exposures: ReadonlyMap<string, readonly Exposure[]>,
  { context }: LoadBasis,
): readonly Likely[] {
  const own = requireExercise(context.catalogue, slot.exercise)
  const wanted = directGroups(intentFor(context, own, slot.intent).credits)
  return [...exposures].flatMap(([id, done]): Likely[] => {
    const other = context.catalogue.get(id)
    const ratio = other && RATIOS[`${other.loadBasis} ${own.loadBasis}`]
    const isLike =
      other !== undefined &&
      id !== own.id &&
      other.pattern === own.pattern &&
      directGroups(other.intents[0].credits).some(group => wanted.includes(group))
    return isLike && ratio !== undefined ? [{ exercise: other, exposures: done, ratio }] : []
  })
}

/**
 * A load to begin an exercise with that has none, from the exercise like it that was done last.
 *
 * Units:  the client's; rounded down to what can be loaded.
 * Edge:   undefined where nothing like it was logged; then its first session finds a weight.
 */
export function startingLoad(
  slot: Slot,
  exposures: ReadonlyMap<string, readonly Exposure[]>,
  basis: LoadBasis,
): StartingLoad | undefined {
  const exercise = requireExercise(basis.context.catalogue, slot.exercise)
  const scale = scaleOf(slot.scheme, exercise, basis.context, basis)
  const [latest] = [...like(slot, exposures, basis)].sort((a, b) =>
    (b.exposures.at(-1)?.on ?? '').localeCompare(a.exposures.at(-1)?.on ?? ''),
  )
  const on = latest?.exposures.at(-1)?.on
  if (!latest || !on || scale.grid.kind === 'none') return undefined
  const places = placesOf(slot, basis.context, scale.unit, on)
  const ref = places[shapeOf(places).reference]
  const oneRep = carefulOneRep(
    latest.exposures,
    new Set(),
    scaleOf(null, latest.exercise, basis.context, { ...basis, bodyKg: null }),
  )
  if (!ref || oneRep === undefined) return undefined
  const reps = Math.floor((ref.range[0] + ref.range[1]) / 2)
  const amount = roundLoad(
    Math.min(scale.most, loadForReps(oneRep * latest.ratio, reps, ref.rir)),
    scale.grid,
    'down',
  )
  return amount > 0
    ? { amount, unit: scale.unit, from: latest.exercise.id as ExerciseId, margin: MARGIN }
    : undefined
}
