import type { ExerciseId, PlainDate } from '../../base'
import type { Exposure } from '../../body/log'
import { directGroups, type Exercise, type Group, requireExercise } from '../../plan/catalogue'
import { amountIn, loadForReps, roundLoad } from '../../plan/estimate'
import { intentFor } from '../../plan/method'
import type { WeightUnit } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { carefulOneRep } from './followed'
import type { LoadBasis } from './loadCase'
import { placesOf } from './places'
import { scaleOf } from './scale'
import { shapeOf } from './shape'

/** A load to begin with, from what is known of an exercise like it, or else of the body. */
export interface StartingLoad {
  readonly amount: number
  readonly unit: WeightUnit
  /** Null where nothing like it was logged: the body's weight alone speaks. */
  readonly from: ExerciseId | null
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

/**
 * What somebody new to it can be expected to lift once, as a share of the body's weight: careful rules of thumb, for
 * movements of one kind only. Source: docs/methods.md#loads.
 */
const OF_BODY: Readonly<
  Partial<
    Record<
      `${Exercise['pattern']} ${Exercise['loadBasis']}`,
      { readonly share: number; readonly groups?: readonly Group[] }
    >
  >
> = {
  'curl total': { share: 0.25 },
  'curl per_hand': { share: 0.1 },
  'curl stack': { share: 0.2 },
  'elbow_extension total': { share: 0.2 },
  'elbow_extension per_hand': { share: 0.06 },
  'elbow_extension stack': { share: 0.2 },
  'horizontal_press total': { share: 0.4 },
  'horizontal_press per_hand': { share: 0.15 },
  'horizontal_press stack': { share: 0.35 },
  'incline_press total': { share: 0.35 },
  'incline_press per_hand': { share: 0.13 },
  'vertical_press total': { share: 0.25 },
  'vertical_press per_hand': { share: 0.1 },
  'vertical_press stack': { share: 0.25 },
  'horizontal_pull total': { share: 0.35 },
  'horizontal_pull per_hand': { share: 0.15 },
  'horizontal_pull stack': { share: 0.4 },
  'vertical_pull stack': { share: 0.45 },
  'raise per_hand': { share: 0.05, groups: ['delts_side'] },
  'rear_raise per_hand': { share: 0.04 },
  'wrist per_hand': { share: 0.08 },
}
/** One arm at a stack moves less than half of what two do. */
const ONE_ARM = 0.4
const BODY_MARGIN = 40

/** The once-lift that may be expected of a body; undefined where it says nothing, or its weight is not known. */
function ofBody(slot: Slot, exercise: Exercise, basis: LoadBasis): number | undefined {
  const row = OF_BODY[`${exercise.pattern} ${exercise.loadBasis}`]
  if (!row || basis.bodyKg === null) return undefined
  const direct = directGroups(intentFor(basis.context, exercise, slot.intent).credits)
  if (row.groups && !row.groups.some(group => direct.includes(group))) return undefined
  const isOneArm = exercise.loadBasis === 'stack' && exercise.laterality === 'unilateral'
  return basis.bodyKg * row.share * (isOneArm ? ONE_ARM : 1)
}

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

/** The once-lift of the exercise like it that was done last, in the unit of the scale. */
function ofLike(
  slot: Slot,
  exposures: ReadonlyMap<string, readonly Exposure[]>,
  basis: LoadBasis,
): { readonly oneRep: number; readonly from: ExerciseId } | undefined {
  const [latest] = [...like(slot, exposures, basis)].sort((a, b) =>
    (b.exposures.at(-1)?.on ?? '').localeCompare(a.exposures.at(-1)?.on ?? ''),
  )
  if (!latest) return undefined
  const oneRep = carefulOneRep(
    latest.exposures,
    new Set(),
    scaleOf(null, latest.exercise, basis.context, { ...basis, bodyKg: null }),
  )
  return oneRep === undefined
    ? undefined
    : { oneRep: oneRep * latest.ratio, from: latest.exercise.id as ExerciseId }
}

/**
 * A load to begin an exercise with that has none: from the exercise like it that was done last, else from the body's weight.
 *
 * Units:  the client's; rounded down to what can be loaded.
 * Edge:   undefined where neither says anything; then its first session finds a weight.
 */
export function startingLoad(
  slot: Slot,
  exposures: ReadonlyMap<string, readonly Exposure[]>,
  basis: LoadBasis,
  on: PlainDate,
): StartingLoad | undefined {
  const exercise = requireExercise(basis.context.catalogue, slot.exercise)
  const scale = scaleOf(slot.scheme, exercise, basis.context, basis)
  if (scale.grid.kind === 'none') return undefined
  const places = placesOf(slot, basis.context, scale.unit, on)
  const ref = places[shapeOf(places).reference]
  if (!ref) return undefined
  const known = ofLike(slot, exposures, basis)
  const body = known ? undefined : ofBody(slot, exercise, basis)
  const oneRep = known?.oneRep ?? (body && amountIn({ amount: body, unit: 'kg' }, scale.unit))
  if (oneRep === undefined) return undefined
  const reps = Math.floor((ref.range[0] + ref.range[1]) / 2)
  const amount = roundLoad(
    Math.min(scale.most, loadForReps(oneRep, reps, ref.rir)),
    scale.grid,
    'down',
  )
  return amount > 0
    ? {
        amount,
        unit: scale.unit,
        from: known?.from ?? null,
        margin: known ? MARGIN : BODY_MARGIN,
      }
    : undefined
}
