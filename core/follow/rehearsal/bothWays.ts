import type { RehearsalData } from './rehearsalData'
import { rehearsedRun, type Run } from './run'

/** Runs under the rules, and at the same place the same client on the same days with nothing decided. */
export interface BothWays {
  readonly ruled: readonly Run[]
  readonly without: readonly Run[]
}

/** Seeds from one up to another, without the other. */
export interface Seeds {
  readonly from: number
  readonly to: number
}

/**
 * So many seeds in as many parts as there are hands for them, none longer by more than one than another.
 *
 * Edge: fewer seeds than hands leave some parts out.
 */
export function partsOf({ from, to }: Seeds, hands: number): readonly Seeds[] {
  const edge = (at: number) => from + Math.round(((to - from) * at) / hands)
  return Array.from({ length: hands }, (_, at) => ({ from: edge(at), to: edge(at + 1) })).filter(
    part => part.to > part.from,
  )
}

/**
 * A client of each seed, twice through the block.
 *
 * Shape: a run each way for every seed, in their order; `onRun` hears after each how many are done.
 */
export function bothWays(
  data: RehearsalData,
  { from, to }: Seeds,
  onRun: (done: number) => void = () => undefined,
): BothWays {
  const [ruled, without]: [Run[], Run[]] = [[], []]
  for (let seed = from; seed < to; seed++) {
    ruled.push(rehearsedRun(data, seed))
    without.push(rehearsedRun(data, seed, { policy: { kind: 'nothing' } }))
    onRun(ruled.length)
  }
  return { ruled, without }
}
