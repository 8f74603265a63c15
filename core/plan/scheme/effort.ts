import type { SetRun } from './setScheme'
import { classedStages, statedRir } from './stageClass'

/**
 * RIR at the end of the lead stage of a set, undefined where the plan gives none.
 *
 * Edge:   bouts that only break up one stretch of work (same load, short rests, reps to spare) belong to the lead;
 *         the RIR at the end of the last of them is taken.
 * Source: docs/methods.md#long-sets, classes lead and join.
 */
export function leadRir(run: SetRun): number | undefined {
  let rir: number | undefined
  for (const { stage, class: own } of classedStages(run)) {
    if (stage.kind !== 'work') continue
    if (own !== 'lead' && own !== 'join') break
    rir = statedRir(stage) ?? rir
  }
  return rir
}

/** The lowest RIR that any stage of the set states; undefined where none does. */
export function lowestRir(run: SetRun): number | undefined {
  const stated = run.stages.flatMap(stage =>
    stage.kind === 'work' ? (statedRir(stage) ?? []) : [],
  )
  return stated.length > 0 ? Math.min(...stated) : undefined
}
