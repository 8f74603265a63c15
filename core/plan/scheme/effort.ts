import type { SetRun } from './setScheme'
import { nominalReps } from './plainValue'
import { classedStages } from './stageClass'

/**
 * RIR at the end of the lead stage of a set, undefined where the plan gives none.
 *
 * Edge:   bouts that only break up one stretch of work (same load, short rests, reps to spare) belong to the lead;
 *         the RIR at the end of the last of them is taken.
 * Source: docs/methods.md#long-sets, classes lead and join.
 */
export function leadRir(run: SetRun): number | undefined {
  let rir: number | undefined
  for (const { stage, class: own, rir: reserve } of classedStages(run)) {
    if (stage.kind !== 'work') continue
    if (own !== 'lead' && own !== 'join') break
    rir = reserve
  }
  return rir
}

/** The lowest RIR that any stage of the set ends at; undefined where the plan leaves it open. */
export function lowestRir(run: SetRun): number | undefined {
  const known = classedStages(run).flatMap(({ rir }) => rir ?? [])
  return known.length > 0 ? Math.min(...known) : undefined
}

/**
 * Reps done at the first load in one go: 5 + 5 + 5 in three positions are one set of 15. Undefined where none are given.
 *
 * Edge: ends at the first drop, pause or hold, since what follows is lighter or rested.
 */
export function leadReps(run: SetRun): number | undefined {
  let reps: number | undefined
  for (const { stage, class: own } of classedStages(run)) {
    if (stage.kind !== 'work' || !(own === 'lead' || own === 'join' || own === 'grip')) break
    const count = nominalReps(stage.reps)
    if (count !== undefined) reps = (reps ?? 0) + count
  }
  return reps
}
