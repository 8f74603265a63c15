import { seededRandom } from '../../base'
import type { PlanEdit } from '../../plan/block'
import {
  allocationEdits,
  allocationProblem,
  type AllocationQuestion,
  type Cell,
  type Problem,
} from './problem'
import { type AllocationConcern, allocationConcerns } from './concerns'
import { type LinearSolver, relaxedQuestion } from './relaxation'
import type { LimitUse, Loosened } from './limits'
import { scorer } from './score'
import type { Miss } from './wants'
import { GENTLE_HEAT, PROPOSAL_KINDS, type ProposalKind } from './goals'
import { costOf, type Found, greedyStart, search } from './search'

/** A change a proposal makes: one exercise at one place, from so many sets to so many. */
export interface ProposedChange {
  readonly cell: Pick<Cell, 'slot' | 'main' | 'isNew' | 'now'>
  readonly day: number
  readonly sets: number
  readonly edit: PlanEdit
}

export interface Proposal {
  readonly kind: ProposalKind
  readonly changes: readonly ProposedChange[]
  /** Wants that are missed, worst first. */
  readonly misses: readonly Miss[]
  readonly points: number
  readonly stimulus: number
  readonly minutes: number
  readonly limits: readonly LimitUse[]
  /** What one step more of a limit would buy; empty where all wants are met. */
  readonly purchases: readonly Purchase[]
}

/** A limit loosened by one step, and what the wants gain: sets per 7 days by group, in points altogether. */
export interface Purchase {
  readonly limit: Pick<LimitUse, 'kind' | 'day' | 'of'>
  readonly step: number
  readonly gains: readonly {
    readonly miss: Pick<Miss, 'kind' | 'group'>
    readonly amount: number
  }[]
  readonly points: number
}

export interface Proposals {
  /** How the plan as it stands does, over its limits where it is. */
  readonly now: Pick<Found, 'points' | 'misses' | 'stimulus'> & { readonly minutes: number }
  readonly proposals: readonly Proposal[]
  /** No plan within the limits can miss fewer points than this; null where nothing proves one. */
  readonly bound: number | null
  readonly solver: 'proven' | 'gap' | 'stopped' | 'failed' | 'none'
  readonly cells: number
  /** What stands in the way before anything is placed. */
  readonly concerns: readonly AllocationConcern[]
}

export interface ProposeOptions {
  readonly solver?: LinearSolver
  readonly moves?: number
  readonly solverSeconds?: number
  /** Told how far it is, from 0 to 1; true stops. */
  readonly onProgress?: (share: number) => boolean
}

const MOVES = 9000
const EXPLAIN_MOVES = 1500
/** A guard: the solver's own limit of nodes ends it far sooner. */
const SOLVER_SECONDS = 20
const PROVEN_WITHIN = 1
const MOST_PURCHASES = 6
const STEPS: Readonly<Record<LimitUse['kind'], number>> = { minutes: 10, joint: 2, joint_week: 2 }

/**
 * Three proposals for where the open sets go, the wants that each misses, what binds, and a bound on what is possible at all.
 *
 * Edge:   never infeasible: limits are lifted to what stands fixed, wants are soft. Nothing open gives proposals without changes.
 *         The same question has the same answer: moves and nodes are limited, not time.
 * Source: docs/methods.md#proposals.
 */
export function propose(question: AllocationQuestion, options: ProposeOptions = {}): Proposals {
  const problem = allocationProblem(question)
  const { moves = MOVES, onProgress } = options
  const now = scorer(problem)
  for (const cell of problem.cells) now.set(cell.at, cell.now)
  const { points, misses, stimulus, seconds } = now.scored()
  const solved = answer(problem, options)
  let isStopped = false
  const part = (at: number, of: number) => (share: number) =>
    (isStopped = onProgress?.(0.1 + (0.7 * (at + share)) / of) === true || isStopped)
  let found = PROPOSAL_KINDS.map((kind, at) =>
    search(problem, {
      kind,
      moves,
      random: seededRandom(at + 1),
      onProgress: part(at, PROPOSAL_KINDS.length),
    }),
  )
  // What one search, a greedy placement or the solver found is worth having in all three: each kind goes on from the start that serves it best.
  const starts = [
    ...found.map(({ sets }) => sets),
    greedyStart(problem).sets,
    ...(solved.sets ? [solved.sets] : []),
  ]
  found = PROPOSAL_KINDS.map((kind, at) => {
    const [from] = starts
      .map(sets => ({ sets, cost: costOf(problem, kind, sets) }))
      .sort((one, other) => one.cost - other.cost)
    return search(problem, {
      kind,
      moves: isStopped ? 0 : Math.floor(moves / 4),
      heat: GENTLE_HEAT,
      random: seededRandom(20 + at),
      ...(from && { from: from.sets }),
    })
  })
  const best = found.reduce((one, other) => (other.points < one.points ? other : one))
  onProgress?.(0.85)
  const bound = solved.bound === null ? null : Math.max(0, solved.bound)
  return {
    now: { points, misses, stimulus, minutes: seconds / 60 },
    bound,
    cells: problem.cells.length,
    concerns: allocationConcerns(problem),
    solver:
      solved.status === 'none' || solved.status === 'failed'
        ? solved.status
        : bound !== null && best.points - bound < PROVEN_WITHIN
          ? 'proven'
          : solved.status === 'stopped'
            ? 'stopped'
            : 'gap',
    proposals: PROPOSAL_KINDS.flatMap((kind, at): Proposal[] => {
      const own = found[at]
      return own ? [proposal(problem, kind, own, isStopped)] : []
    }),
  }
}

function answer(
  problem: Problem,
  { solver, solverSeconds = SOLVER_SECONDS }: ProposeOptions,
): {
  readonly status: 'optimal' | 'stopped' | 'failed' | 'none'
  readonly bound: number | null
  readonly sets: readonly number[] | null
} {
  if (!solver || problem.cells.length === 0) return { status: 'none', bound: null, sets: null }
  const { status, bound, values } = solver(relaxedQuestion(problem), solverSeconds)
  const sets =
    values &&
    problem.cells.map(cell => {
      const wanted = Math.round(values.get(`y${cell.at}`) ?? 0)
      return cell.values.includes(wanted) ? wanted : 0
    })
  return { status, bound: status === 'failed' ? null : bound, sets }
}

function proposal(
  problem: Problem,
  kind: ProposalKind,
  found: Found,
  isStopped: boolean,
): Proposal {
  const state = scorer(problem)
  found.sets.forEach((sets, at) => state.set(at, sets))
  const limits = state.tightLimits()
  return {
    kind,
    misses: found.misses,
    points: found.points,
    stimulus: found.stimulus,
    minutes: found.seconds / 60,
    limits,
    changes: allocationEdits(problem, found.sets).map(({ cell, edit }) => ({
      cell: { slot: cell.slot, main: cell.main, isNew: cell.isNew, now: cell.now },
      day: problem.places[cell.place]?.day ?? 0,
      sets: found.sets[cell.at]!,
      edit,
    })),
    purchases: found.points > PROVEN_WITHIN && !isStopped ? purchases(problem, found, limits) : [],
  }
}

function loosenedBy({ kind, day }: LimitUse): Loosened | undefined {
  if (kind === 'minutes' && day !== null) return { minutes: { [day]: STEPS.minutes } }
  return kind === 'minutes' ? undefined : { joints: STEPS.joint }
}

/** Tries each tight limit one step looser, from the plan found: only gains that a whole plan shows are told. */
function purchases(
  problem: Problem,
  found: Found,
  limits: readonly LimitUse[],
): readonly Purchase[] {
  const seen = new Set<string>()
  return limits
    .flatMap((limit): Purchase[] => {
      const loosened = loosenedBy(limit)
      const key = limit.kind === 'minutes' ? `minutes ${limit.day}` : 'joint'
      if (!loosened || seen.size === seen.add(key).size || seen.size > MOST_PURCHASES) return []
      const bought = search(problem, {
        kind: 'fewest_changes',
        moves: EXPLAIN_MOVES,
        heat: GENTLE_HEAT,
        random: seededRandom(40 + seen.size),
        from: found.sets,
        loosened,
      })
      const amountOf = (of: Found, miss: Miss) =>
        of.misses
          .filter(({ kind, group }) => kind === miss.kind && group === miss.group)
          .reduce((total, { amount }) => total + amount, 0)
      const gains = found.misses
        .filter(
          (miss, at, all) =>
            all.findIndex(other => other.kind === miss.kind && other.group === miss.group) === at,
        )
        .map(miss => ({
          miss: { kind: miss.kind, group: miss.group },
          amount: amountOf(found, miss) - amountOf(bought, miss),
        }))
        .filter(({ amount }) => amount > 0.05)
      const points = found.points - bought.points
      return points > 0.5 && gains.length > 0
        ? [
            {
              limit: { kind: limit.kind, day: limit.day, of: limit.of },
              step: STEPS[limit.kind],
              gains,
              points,
            },
          ]
        : []
    })
    .sort((a, b) => b.points - a.points)
}
