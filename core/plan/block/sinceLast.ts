import { DAYS_PER_WEEK, type ExerciseId } from '../../base'
import { daySlots } from '../rotation'
import { plannedSets } from '../scheme'
import type { PlanDocument } from './planDocument'

/** What is kept of an earlier block to tell what a later one does otherwise. Units: sets in 7 days. */
export interface BlockBefore {
  readonly title: string
  readonly sets: Readonly<Record<ExerciseId, number>>
}

/** An exercise that a plan does otherwise than the block before; 0 where it is not there. Units: sets in 7 days. */
export interface SinceLast {
  readonly exercise: ExerciseId
  readonly before: number
  readonly after: number
}

function weeklySets({ rotation }: PlanDocument): Readonly<Record<ExerciseId, number>> {
  const sets: Record<ExerciseId, number> = {}
  for (const { exercise, scheme } of rotation.days.flatMap(daySlots))
    sets[exercise] =
      (sets[exercise] ?? 0) + (plannedSets(scheme) * DAYS_PER_WEEK) / rotation.days.length
  return sets
}

/** What a later block is compared with. */
export const blockBefore = (plan: PlanDocument): BlockBefore => ({
  title: plan.title,
  sets: weeklySets(plan),
})

/** Less than this share of a set in 7 days is the same: rotations of other lengths hardly ever give whole sets. */
const SAME = 0.25

/**
 * What a plan's rotation does otherwise than the block before.
 *
 * Shape: exercises that are new, then those that are gone, then those with more or fewer sets; the largest change first.
 * Edge:  empty where nothing changed.
 */
export function sinceLast(plan: PlanDocument, { sets: before }: BlockBefore): readonly SinceLast[] {
  const now = weeklySets(plan)
  const rank = (row: SinceLast) => (row.before === 0 ? 0 : row.after === 0 ? 1 : 2)
  const size = (row: SinceLast) => Math.abs(row.after - row.before)
  return ([...new Set([...Object.keys(now), ...Object.keys(before)])] as ExerciseId[])
    .map(exercise => ({ exercise, before: before[exercise] ?? 0, after: now[exercise] ?? 0 }))
    .filter(row => size(row) >= SAME)
    .sort((a, b) => rank(a) - rank(b) || size(b) - size(a))
}
