import { assert } from '../../base'
import type { SetRun } from './setScheme'
import type { Reps, WorkStage } from './stage'

/** Sets with a running total count at most this many whole sets. Source: docs/methods.md#long-sets. */
const MAX_PLAIN_VALUE = 3
/** A stage of a restricted-flow set counts from this many reps. */
export const RESTRICTED_STAGE_REPS = 12
/** What such a stage counts, so that one set of four stages and four sets of one count alike. */
const RESTRICTED_STAGE = { by_stage: 0.75, as_one: 0.25 } as const

/** What sets count for that are not plain work; a method decides. */
export interface SpecialSets {
  readonly buildUp: 'nothing' | 'whole'
  readonly restricted: keyof typeof RESTRICTED_STAGE
}

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

/** A rep of work that is counted in seconds takes about so many. */
const SECONDS_PER_REP = 4

/** How many reps a count stands for: seconds are not reps, a carry of 25 s is about six. */
export function repsFor(count: number, unit: 'reps' | 'seconds'): number {
  return unit === 'seconds' ? count / SECONDS_PER_REP : count
}

/** Whether a set is nothing but a hold, so that nothing in it is counted in reps. */
export const isHoldAlone = (run: SetRun): boolean => workStages(run).length === 0

/**
 * Plain worth of one set of a run, before credits, effort and sides.
 *
 * Units:  sets; 1 for all but the cases below.
 * Edge:   warm-up and primer sets 0; hold-only sets 0, but 1 of an exercise that is counted in seconds; build-up sets
 *         as the method has it; a running total floor(total / first bout), 1 to 3; restricted flow by its stages of
 *         12 reps or more.
 * Source: docs/methods.md#long-sets.
 */
export function plainValue(
  run: SetRun,
  { repUnit }: { readonly repUnit: 'reps' | 'seconds' },
  counts: SpecialSets,
): PlainValue {
  const work = workStages(run)
  const [lead] = work
  if (run.role === 'warmup' || run.role === 'primer') return NOTHING
  if (run.role === 'ramp' && counts.buildUp === 'nothing') return NOTHING
  if (!lead) return repUnit === 'seconds' ? { sets: 1, assumed: false } : NOTHING
  if (run.protocol === 'restricted_flow') return restrictedValue(work, counts)
  const running = work.find(stage => stage.reps?.kind === 'until_total')
  if (!running) return { sets: 1, assumed: false }
  return runningTotalValue(running, nominalReps(lead.reps))
}

const NOTHING: PlainValue = { sets: 0, assumed: false }

function restrictedValue(work: readonly WorkStage[], { restricted }: SpecialSets): PlainValue {
  const reps = work.map(stage => nominalReps(stage.reps))
  const counted = reps.filter(count => count === undefined || count >= RESTRICTED_STAGE_REPS).length
  return { sets: counted * RESTRICTED_STAGE[restricted], assumed: reps.includes(undefined) }
}

function runningTotalValue(running: WorkStage, leadReps: number | undefined): PlainValue {
  assert(running.reps?.kind === 'until_total', 'a running total has a total')
  if (!leadReps) return { sets: 1, assumed: true }
  return {
    sets: Math.min(MAX_PLAIN_VALUE, Math.max(1, Math.floor(running.reps.total / leadReps))),
    assumed: false,
  }
}

/** From so many seconds at the long end of a rep it is a wait under load. */
const LONG_WAIT = 2

/** Whether each rep of a stage waits at the long end. */
export function isHeldLong({ tempo }: WorkStage): boolean {
  const wait = tempo?.longPause ?? 0
  return (typeof wait === 'number' ? wait : wait.low) >= LONG_WAIT
}
