import { keysOf } from '../../base'
import type { Scorer } from './score'

/** Cost that a search may go back on where it goes on from a good start. */
export const GENTLE_HEAT = 4

interface GoalRow {
  /** Names the proposal on the page and is its key. */
  readonly letter: string
  readonly name: string
  readonly idea: string
  /** What a point of wants is worth beside the rest of the cost. */
  readonly wants: number
  /** Cost that may be gone back on at first. */
  readonly heat: number
  /** Whether changes are taken back one by one at the end. */
  readonly settles: boolean
  /** What the search makes small beside the wants; these weigh so much more that the rest only decides between plans that meet them equally. */
  readonly cost: (wants: number, state: Scorer) => number
}

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
    wants: 20,
    heat: 1200,
    settles: false,
    cost: (wants, state) => {
      const { exercises, sets } = state.changes()
      return wants - state.stimulus() + 2 * exercises + 0.25 * sets
    },
  },
  fewest_changes: {
    letter: 'B',
    name: 'Fewest changes',
    idea: 'The rotation as it is, with as little moved as it takes.',
    // A last percent of readiness is not worth another exercise.
    wants: 4,
    heat: GENTLE_HEAT,
    settles: true,
    cost: (wants, state) => {
      const { exercises, sets } = state.changes()
      return wants + 8 * exercises + 2 * sets - 0.02 * state.stimulus()
    },
  },
  shortest: {
    letter: 'C',
    name: 'Shortest sessions',
    idea: 'The wants in as little time as possible.',
    wants: 20,
    heat: 60,
    settles: false,
    cost: (wants, state) =>
      wants + state.seconds() / 60 - 0.02 * state.stimulus() + 0.05 * state.changes().sets,
  },
} as const satisfies Readonly<Record<string, GoalRow>>

export type ProposalKind = keyof typeof PROPOSAL_GOALS

export const PROPOSAL_KINDS = keysOf(PROPOSAL_GOALS)
