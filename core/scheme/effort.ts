import type { SetRun } from './setScheme'
import type { WorkStage } from './stage'

/** Seconds of rest up to which bouts with reps to spare are one stretch of work. Source: docs/methods.md#long-sets. */
const JOINING_REST_SECONDS = 40

function statedRir(stage: WorkStage): number | undefined {
  if (stage.effort?.kind === 'failure') return 0
  if (stage.effort?.kind === 'rir') return stage.effort.rir
  return stage.effort === undefined && stage.reps?.kind === 'to_failure' ? 0 : undefined
}

function isJoined(run: SetRun, at: number): boolean {
  const stage = run.stages[at]
  if (stage?.kind !== 'work' || stage.load || stage.grip || stage.exercise || stage.reps?.kind === 'until_total') return false
  const before = run.stages.slice(0, at).findLastIndex(earlier => earlier.kind === 'work')
  const previous = run.stages[before]
  if (previous?.kind !== 'work' || (statedRir(previous) ?? Infinity) <= 1) return false
  return run.stages.slice(before + 1, at).every(between =>
    between.kind !== 'rest' || between.rest.kind === 'none'
    || (between.rest.kind === 'seconds' && between.rest.seconds <= JOINING_REST_SECONDS))
}

/**
 * RIR at the end of the lead stage of a set, undefined where the plan gives none.
 *
 * Edge:   bouts that only break up one stretch of work (same load, short rests, reps to spare) belong to the lead;
 *         the RIR at the end of the last of them is taken.
 * Source: docs/methods.md#long-sets, classes lead and join.
 */
export function leadRir(run: SetRun): number | undefined {
  const first = run.stages.findIndex(stage => stage.kind === 'work')
  const lead = run.stages[first]
  if (lead?.kind !== 'work') return undefined
  let rir = statedRir(lead)
  for (let at = first + 1; at < run.stages.length; at++) {
    const stage = run.stages[at]
    if (stage?.kind !== 'work') continue
    if (!isJoined(run, at)) break
    rir = statedRir(stage) ?? rir
  }
  return rir
}
