import { type Exercise, type Group, requireExercise } from '../catalogue'
import { intentFor, type PlanContext } from '../method'
import type { Grouping, GroupingKind, Slot } from '../session'
import { mainGroup } from './restUsed'

/** How two exercises done together stand to each other. */
export type PairRelation = 'opposite' | 'unrelated' | 'same_group'

const OPPOSITE: readonly (readonly [readonly Group[], readonly Group[]])[] = [
  [['biceps', 'elbow_flexors_other'], ['triceps']],
  [
    ['chest', 'delts_front'],
    ['lats', 'upper_back', 'delts_rear'],
  ],
  [['quads'], ['hamstrings']],
  [['abs'], ['lower_back']],
]
const FLEXORS: readonly Group[] = ['biceps', 'elbow_flexors_other']

/** Whether the grip is likely to be spent: it helps, but is not what is trained. */
export function isGripLimited(slot: Slot, exercise: Exercise, context: PlanContext): boolean {
  const forearms = (slot.credits ?? intentFor(context, exercise, slot.intent).credits).forearms ?? 0
  return (forearms > 0 && forearms < 1) || exercise.cautions.includes('grip_gives_out_first')
}

/** How two slots stand to each other, by the groups they are chosen for. */
export function pairRelation(a: Slot, b: Slot, context: PlanContext): PairRelation {
  const [first, second] = [a, b].map(slot =>
    mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context),
  )
  if (!first || !second) return 'unrelated'
  if (first === 'forearms' && second === 'forearms')
    return areForearmSides(a, b) ? 'opposite' : 'same_group'
  if (first === second || (FLEXORS.includes(first) && FLEXORS.includes(second))) return 'same_group'
  const faces = OPPOSITE.some(
    ([one, other]) =>
      (one.includes(first) && other.includes(second)) ||
      (one.includes(second) && other.includes(first)),
  )
  return faces ? 'opposite' : 'unrelated'
}

function areForearmSides(a: Slot, b: Slot): boolean {
  const ids = [a.exercise, b.exercise] as readonly string[]
  return ids.includes('wrist_curl') && ids.includes('reverse_wrist_curl')
}

/**
 * What is left of the expected reps of the later exercise of a pair, 0 to 1. Counted sets stay the same.
 *
 * Source: docs/methods.md#pairing.
 */
export function pairedReps(
  relation: PairRelation,
  kind: GroupingKind,
  afterSeconds: number,
  stations: number,
): number {
  if (kind === 'circuit' && stations >= 3) return 0.93
  if (relation === 'same_group') return 0.8
  if (relation === 'unrelated') return 0.97
  if (kind === 'alternating' && afterSeconds >= 60) return 1
  if (afterSeconds >= 120) return 1
  return afterSeconds >= 60 ? 0.95 : 0.9
}

/** Every pair of neighbours in a grouping that is done together. */
export function partnersOf({ kind, slots }: Grouping): readonly (readonly [Slot, Slot])[] {
  if (kind === 'straight') return []
  return slots.flatMap((slot, at) => {
    const next = slots[at + 1]
    return next ? [[slot, next] as const] : []
  })
}
