import { DAYS_PER_WEEK, daysBetween, type PlainDate } from '../../base'
import type { Phase } from '../../plan/method'

/** Blocks in a row that are in one phase. */
export interface PhaseRun {
  readonly phase: Phase
  readonly from: PlainDate
  readonly to: PlainDate
  /** The day it leads to: its own, or its last. */
  readonly until: PlainDate
  /** Whole weeks until that day, a begun one counted; null before it begins and once it is over. */
  readonly weeksToGo: number | null
}

interface InPhase {
  readonly phase: Phase | null
  readonly from: PlainDate
  readonly to: PlainDate
}

const isSame = (a: Phase, b: Phase) => a.kind === b.kind && a.what === b.what && a.on === b.on

/** A run with what is left of it on a day. */
function asOf(run: Omit<PhaseRun, 'weeksToGo' | 'until'>, today: PlainDate): PhaseRun {
  const until = run.phase.on ?? run.to
  const isNow = run.from <= today && today <= until
  return {
    ...run,
    until,
    weeksToGo: isNow ? Math.ceil(daysBetween(today, until) / DAYS_PER_WEEK) : null,
  }
}

/**
 * The phases of a season: blocks in a row that are in the same one, with the same aim, are one run.
 *
 * Shape:  in the order of the blocks; blocks without a phase are in none.
 * Edge:   what follows the phase (days, volume) may differ from block to block of one run; the first block's is told.
 * Source: docs/methods.md#phases.
 */
export function phaseRuns(blocks: readonly InPhase[], today: PlainDate): readonly PhaseRun[] {
  const runs: (Omit<PhaseRun, 'weeksToGo' | 'until'> & { readonly at: number })[] = []
  blocks.forEach(({ phase, from, to }, at) => {
    if (!phase) return
    const last = runs.at(-1)
    if (last && last.at === at - 1 && isSame(last.phase, phase))
      runs[runs.length - 1] = { ...last, to, at }
    else runs.push({ phase, from, to, at })
  })
  return runs.map(({ at: _, ...run }) => asOf(run, today))
}
