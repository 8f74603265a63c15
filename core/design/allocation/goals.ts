import { keysOf } from '../../base'
import type { Scorer } from './score'

/** Cost that a search may go back on where it goes on from a good start. */
export const GENTLE_HEAT = 4

/** Points that a plan with fewer changes may cost more than the best one: about one set of one muscle. */
export const LOSS = 8

interface GoalRow {
  /** Names the proposal on the page and is its key. */
  readonly letter: string
  readonly name: string
  readonly idea: string
  /** Cost that may be gone back on at first. */
  readonly heat: number
  /** Whether changes are taken back one by one at the end. */
  readonly settles: boolean
  /**
   * What the search makes small. Points of wants weigh so much more than the rest that this only decides between plans that
   * meet the wants equally; `within` are points that may be missed freely.
   */
  readonly cost: (state: Scorer, within: number) => number
}

/** What a point of wants is worth beside the rest of the cost, and one beyond what may be missed freely. */
const WANTS = 20
const OVER = { once: 1000, each: 100 } as const

/**
 * What proposals are made for, in their order: the only place that lists them. All meet the wants first.
 *
 * Source: docs/methods.md#proposals.
 */
export const PROPOSAL_GOALS = {
  best: {
    letter: 'A',
    name: 'Most stimulus',
    idea: 'As much effective work as the limits allow.',
    heat: 1200,
    settles: false,
    cost: state => {
      const { comeAndGo, sets } = state.changes()
      return WANTS * state.points() - state.stimulus() + 4 * comeAndGo + 0.5 * sets
    },
  },
  fewest_changes: {
    letter: 'B',
    name: 'Fewest changes',
    idea: 'As little moved as it takes, at most about a set short.',
    heat: GENTLE_HEAT,
    settles: true,
    cost: (state, within) => {
      const { lines, comeAndGo, sets } = state.changes()
      const points = state.points()
      const over = points > within + 1e-6 ? OVER.once + OVER.each * (points - within) : 0
      return over + 10 * lines + comeAndGo + 0.5 * sets + 0.1 * points - 0.02 * state.stimulus()
    },
  },
  shortest: {
    letter: 'C',
    name: 'Shortest sessions',
    idea: 'The wants in as little time as possible.',
    heat: 60,
    settles: false,
    cost: state =>
      WANTS * state.points() +
      state.seconds() / 60 -
      0.02 * state.stimulus() +
      0.5 * state.changes().lines,
  },
} as const satisfies Readonly<Record<string, GoalRow>>

export type ProposalKind = keyof typeof PROPOSAL_GOALS

export const PROPOSAL_KINDS = keysOf(PROPOSAL_GOALS)
