import { assert } from '../../base'
import type { SetRun } from './setScheme'
import type { Reps, WorkStage } from './stage'

/** Sets with a running total, and restricted-flow sets, count at most this many whole sets. Source: docs/methods.md#long-sets. */
const MAX_PLAIN_VALUE = 3
/** A stage of a restricted-flow set counts from this many reps. */
const RESTRICTED_STAGE_REPS = 12

/** What a set is worth as plain sets, and whether reps had to be assumed for it. */
export interface PlainValue {
  readonly sets: number
  readonly assumed: boolean
}

/** The work stages of a run in order. */
export function workStages(run: SetRun): readonly WorkStage[] {
  return run.stages.filter((stage): stage is WorkStage => stage.kind === 'work')
}

/** Reps to reckon with: a range by its lower middle, a fraction by its floor; undefined where none are given. */
export function nominalReps(reps: Reps | undefined): number | undefined {
  if (!reps) return undefined
  switch (reps.kind) {
    case 'exactly':
      return Math.floor(reps.count)
    case 'between':
      return Math.floor((reps.low + reps.high) / 2)
    case 'first_to_last':
      return Math.floor((reps.first + reps.last) / 2)
    case 'up_to':
      return Math.floor(reps.high)
    case 'to_failure':
      return reps.high === undefined
        ? reps.low
        : Math.floor(((reps.low ?? reps.high) + reps.high) / 2)
    case 'same_as':
    case 'until_total':
      return undefined
  }
}

/**
 * Plain worth of one set of a run, before credits, effort and sides.
 *
 * Units:  sets; 1 for all but the cases below.
 * Edge:   warm-up, primer and hold-only sets 0; a running total floor(total / first bout), 1 to 3;
 *         restricted flow one per stage of 12 reps or more, at most 3.
 * Source: docs/methods.md#long-sets.
 */
export function plainValue(run: SetRun): PlainValue {
  const work = workStages(run)
  const [lead] = work
  if (run.role === 'warmup' || run.role === 'primer' || !lead) return { sets: 0, assumed: false }
  if (run.protocol === 'restricted_flow') return restrictedValue(work)
  const running = work.find(stage => stage.reps?.kind === 'until_total')
  if (!running) return { sets: 1, assumed: false }
  return runningTotalValue(running, nominalReps(lead.reps))
}

function restrictedValue(work: readonly WorkStage[]): PlainValue {
  const reps = work.map(stage => nominalReps(stage.reps))
  const counted = reps.filter(count => count === undefined || count >= RESTRICTED_STAGE_REPS).length
  return { sets: Math.min(MAX_PLAIN_VALUE, counted), assumed: reps.includes(undefined) }
}

function runningTotalValue(running: WorkStage, leadReps: number | undefined): PlainValue {
  assert(running.reps?.kind === 'until_total', 'a running total has a total')
  if (!leadReps) return { sets: 1, assumed: true }
  return {
    sets: Math.min(MAX_PLAIN_VALUE, Math.max(1, Math.floor(running.reps.total / leadReps))),
    assumed: false,
  }
}
