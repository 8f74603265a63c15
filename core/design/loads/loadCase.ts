import { type PlainDate, remembered, type SlotId } from '../../base'
import type { Exposure } from '../../body/log'
import type { BlockPlan } from '../../plan/block'
import { type Exercise, type Group, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { Rotation } from '../../plan/rotation'
import type { WeightUnit } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { loadRuleOf } from '../progress'
import { doneBySet, isUnder } from './done'
import type { Terms } from './followed'
import { movementOf } from './movementOf'
import { aimedEnd, type Place, placesOf } from './places'
import { type Scale, scaleOf } from './scale'
import { type Shape, shapeOf } from './shape'

/** What loads are reckoned from, whatever the slot. */
export interface LoadBasis {
  readonly context: PlanContext
  readonly unit: WeightUnit
  /** Latest weigh-in; null where there is none. */
  readonly bodyKg: number | null
  readonly rules: BlockPlan['rules']
  /** The rotation as planned, by which an absence is told from a plan; null where none is known. */
  readonly rotation: Rotation | null
}

/** What is known of one exercise by the day. */
export interface Known {
  readonly on: PlainDate
  /** Exposures of the exercise before the day, the oldest first. */
  readonly exposures: readonly Exposure[]
  readonly lastWorked: ReadonlyMap<Group, PlainDate>
  /** Slots as they were planned when they were last done in working days, by place and movement. */
  readonly lastPlanned: ReadonlyMap<string, Slot>
  readonly isDeload: boolean
  /** A step heavier or a twentieth lighter by the coach's wish. */
  readonly step?: 'up' | 'down' | undefined
}

/** Everything about one slot that its loads are reckoned with. */
export interface Case extends Known {
  readonly slot: Slot
  readonly exercise: Exercise
  readonly basis: LoadBasis
  readonly scale: Scale
  readonly places: readonly Place[]
  readonly shape: Shape
  readonly terms: Terms
  /** Exposures with this aim, those of other aims left out. */
  readonly own: readonly Exposure[]
}

/** Reps by which two aims differ before a load for one is no load for the other. */
const OTHER_AIM = 2
/** Reps that a set nobody can place may lie outside the range and still be of it. */
const FIT = 3

export const middleOf = ([low, high]: readonly [number, number]) => (low + high) / 2

function referenceRange(slot: Slot, { context, unit }: LoadBasis, on: PlainDate) {
  const places = placesOf(slot, context, unit, on)
  return places[shapeOf(places).reference]?.range
}

interface Aims {
  readonly slots: ReadonlySet<SlotId>
  readonly others: ReadonlySet<SlotId>
}
const knownAims = new WeakMap<LoadBasis, Map<string, Aims>>()

/** One object for the same slots, so that what was read of a log under them is found again. */
function aimsOf(basis: LoadBasis, own: readonly SlotId[], others: readonly SlotId[]): Aims {
  const known = knownAims.get(basis) ?? knownAims.set(basis, new Map()).get(basis)!
  const name = `${own.join(' ')}|${others.join(' ')}`
  const found = known.get(name)
  if (found) return found
  const aims: Aims = { slots: new Set(own), others: new Set(others) }
  known.set(name, aims)
  return aims
}

/** Slots of the exercise whose sets say what this one's do: itself, and others with the same aim. */
function sameAim(
  slot: Slot,
  range: readonly [number, number],
  { lastPlanned, on }: Known,
  basis: LoadBasis,
): Aims {
  const own: SlotId[] = []
  const others: SlotId[] = []
  for (const other of lastPlanned.values()) {
    if (movementOf(other) !== movementOf(slot) || other.intent !== slot.intent) continue
    const then = referenceRange(other, basis, on)
    const isAlike = then !== undefined && Math.abs(middleOf(then) - middleOf(range)) < OTHER_AIM
    ;(isAlike ? own : others).push(other.id)
  }
  if (!own.includes(slot.id) && !others.includes(slot.id)) own.push(slot.id)
  return aimsOf(basis, own, others)
}

function isFitting(
  exposure: Exposure,
  [low, high]: readonly [number, number],
  slots: ReadonlySet<SlotId>,
  scale: Scale,
): boolean {
  const reps = [...doneBySet(exposure, slots, scale).values()].map(set => set.reps)
  const middle = [...reps].sort((a, b) => a - b)[reps.length >> 1]
  return middle !== undefined && middle >= low - FIT && middle <= high + FIT
}

const scaleIn = remembered((slot: Slot, basis: LoadBasis) =>
  scaleOf(
    slot.scheme,
    requireExercise(basis.context.catalogue, slot.exercise),
    basis.context,
    basis,
  ),
)

/** A slot with everything its loads are reckoned with; undefined where no set of it moves a load that is a number. */
export function caseOf(slot: Slot, known: Known, basis: LoadBasis): Case | undefined {
  const exercise = requireExercise(basis.context.catalogue, slot.exercise)
  if (exercise.repUnit !== 'reps') return undefined
  const scale = scaleIn(slot, basis)
  const places = placesOf(slot, basis.context, scale.unit, known.on)
  const shape = shapeOf(places)
  const range = places[shape.reference]?.range
  if (!range) return undefined
  if (scale.grid.kind === 'none' && shape.named === undefined) return undefined
  const { slots, others } = sameAim(slot, range, known, basis)
  const rule = basis.rules?.[exercise.id]
  const working = known.exposures.filter(({ isEasy }) => !isEasy)
  return {
    ...known,
    slot,
    exercise,
    basis,
    scale,
    places,
    shape,
    terms: {
      scale,
      slots,
      rule: loadRuleOf(exercise, basis.rules, basis.context),
      backOffShare: rule?.backOffPercent === undefined ? undefined : rule.backOffPercent / 100,
    },
    own: working.filter(exposure =>
      isUnder(exposure, slots)
        ? aimedEnd(slot.scheme, exposure.on) === aimedEnd(slot.scheme, known.on)
        : !isUnder(exposure, others) && isFitting(exposure, range, slots, scale),
    ),
  }
}

/** The heaviest load of an exposure. */
export function heaviestIn(
  exposure: Exposure | undefined,
  { terms, scale }: Case,
): number | undefined {
  const loads = exposure
    ? [...doneBySet(exposure, terms.slots, scale).values()].map(({ load }) => load)
    : []
  return loads.length > 0 ? Math.max(...loads) : undefined
}

/** Exposures of the exercise in working days, under whatever aim. */
export const workingExposures = ({ exposures }: Case): readonly Exposure[] =>
  exposures.filter(({ isEasy }) => !isEasy)
