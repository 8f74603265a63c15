import { type LoadGrid, roundLoad } from '../estimate'

/** A warm-up set to propose. */
export interface WarmUpSet {
  readonly share: number
  readonly load: number
  readonly reps: number
  readonly restSeconds: number
}

export interface WarmUpQuestion {
  readonly workingLoad: number
  /** Working load over the one-rep maximum. */
  readonly shareOfOneRep: number
  /** At least two working sets today have already loaded its stressed joints and its main muscle. */
  readonly isPrepared: boolean
  /** Any pain reported in the last 14 days on a joint it touches. */
  readonly hasPain: boolean
  readonly grid: LoadGrid
}

const HEAVY = 0.8
const MEDIUM = 0.65
const MOST = 4
const SHARES: Readonly<Record<number, readonly number[]>> = {
  0: [],
  1: [0.6],
  2: [0.5, 0.75],
  3: [0.45, 0.65, 0.85],
  4: [0.4, 0.55, 0.7, 0.85],
}
const LONGER_REST_FROM = 0.75

/** How many warm-up sets an exercise wants. */
export function warmUpCount({
  shareOfOneRep,
  isPrepared,
  hasPain,
}: Pick<WarmUpQuestion, 'shareOfOneRep' | 'isPrepared' | 'hasPain'>): number {
  const usual = shareOfOneRep >= HEAVY ? 3 : shareOfOneRep >= MEDIUM ? 2 : 1
  const prepared = isPrepared ? Math.max(shareOfOneRep >= HEAVY ? 1 : 0, usual - 1) : usual
  return Math.min(MOST, prepared + (hasPain ? 1 : 0))
}

function repsAt(share: number): number {
  if (share <= 0.5) return 10
  if (share <= 0.65) return 6
  return share <= 0.75 ? 4 : 2
}

/**
 * Warm-up sets for a working load: lighter first, fewer reps as they get heavier. They never count.
 *
 * Units:  in the unit of the load; rounded down to what can be loaded, the lightest weight once.
 * Source: docs/methods.md#minutes; examples T13 to T15.
 */
export function proposedWarmUp(question: WarmUpQuestion): readonly WarmUpSet[] {
  const sets = (SHARES[warmUpCount(question)] ?? []).map(share => ({
    share,
    load: roundLoad(question.workingLoad * share, question.grid, 'down'),
    reps: repsAt(share),
    restSeconds: share >= LONGER_REST_FROM ? 60 : 45,
  }))
  return sets.filter(({ load }, at) => load !== sets[at - 1]?.load)
}
