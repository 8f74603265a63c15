import { seededRandom } from '../../base'
import type { PlanEdit } from '../../plan/block'
import type { AllocationQuestion, Cell, Problem, Withheld } from './cells'
import { allocationEdits, allocationProblem } from './problem'
import { type AllocationConcern, allocationConcerns } from './concerns'
import {
  fewestQuestion,
  type LinearAnswer,
  type LinearQuestion,
  type LinearSolver,
  relaxedQuestion,
} from './relaxation'
import type { LimitUse } from './limits'
import { scorer } from './score'
import type { Miss } from './wants'
import { GENTLE_HEAT, LOSS, PROPOSAL_KINDS, type ProposalKind } from './goals'
import { type Reasons, reasonsFor } from './reasons'
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
}

/** Why a kind of proposal is not shown: it comes to another one, or saves too little time. */
export interface LeftOut {
  readonly kind: ProposalKind
  readonly sameAs: ProposalKind | null
}

export interface Proposals {
  /** How the plan as it stands does, over its limits where it is. */
  readonly now: Pick<Found, 'points' | 'misses' | 'stimulus'> & { readonly minutes: number }
  /** Those that differ in substance. */
  readonly proposals: readonly Proposal[]
  readonly leftOut: readonly LeftOut[]
  /** No plan within the limits can miss fewer points than this; null where nothing proves one. */
  readonly bound: number | null
  /** No plan that misses as little can change fewer exercises than this; null where nothing proves one. */
  readonly fewestBound: number | null
  readonly solver: 'proven' | 'gap' | 'stopped' | 'failed' | 'none'
  readonly cells: number
  /** What stands in the way before anything is placed. */
  readonly concerns: readonly AllocationConcern[]
  /** Exercises not offered for the sake of a joint. */
  readonly withheld: readonly Withheld[]
}

export interface ProposeOptions {
  readonly solver?: LinearSolver
  readonly moves?: number
  readonly solverSeconds?: number
  /** Told how far it is, from 0 to 1; true stops. */
  readonly onProgress?: (share: number) => boolean
}

const MOVES = 9000
/** A guard: the solver's own limit of nodes ends it far sooner. */
const SOLVER_SECONDS = 20
const PROVEN_WITHIN = 1
/** Two proposals that differ in fewer exercises than this are one. */
const LEAST_DIFFERENCE = 2
/** The shortest one saves at least this share of the time of the others. */
const LEAST_SAVING = 0.05

/**
 * Proposals for where the open sets go, up to three that differ in substance, the wants that each misses, what binds, and
 * bounds on what is possible at all.
 *
 * Edge:   never infeasible: limits are lifted to what stands fixed, wants are soft. Nothing open gives proposals without changes.
 *         The same question has the same answer: moves and nodes are limited, not time.
 * Source: docs/methods.md#proposals.
 */
export function propose(question: AllocationQuestion, options: ProposeOptions = {}): Proposals {
  const problem = allocationProblem(question)
  const now = scorer(problem)
  for (const cell of problem.cells) now.set(cell.at, cell.now)
  const { points, misses, stimulus, seconds } = now.scored()
  const { found, solved, fewest } = searched(problem, options)
  const best = Math.min(...PROPOSAL_KINDS.map(kind => found[kind].points))
  options.onProgress?.(0.85)
  const { shown, leftOut } = differing(found)
  return {
    now: { points, misses, stimulus, minutes: seconds / 60 },
    bound: solved.bound,
    fewestBound: fewest.bound === null ? null : Math.ceil(fewest.bound - 1e-6),
    cells: problem.cells.length,
    concerns: allocationConcerns(problem),
    withheld: problem.withheld,
    solver: statusOf(solved, best),
    proposals: shown.map(kind => proposal(problem, kind, found[kind])),
    leftOut,
  }
}

/** Why a proposal meets no more of the wants, and what one step more of what forbids it would buy. */
export function whyNotMore(
  question: AllocationQuestion,
  { changes }: Pick<Proposal, 'changes'>,
  solver: LinearSolver,
): Reasons {
  const problem = allocationProblem(question)
  const state = scorer(problem)
  const wanted = new Map(changes.map(({ cell, sets }) => [cell.slot.id, sets]))
  for (const { at, slot, now } of problem.cells) state.set(at, wanted.get(slot.id) ?? now)
  return reasonsFor(problem, { ...state.scored(), sets: Array.from(state.sets), cost: 0 }, solver)
}

/** How a search goes on: points that may be missed freely, and how far it may go back at first. */
interface Further {
  readonly within?: number
  readonly heat?: number
}
const FEWEST_HEATS = [GENTLE_HEAT, 20, 60, 150] as const

type FoundByKind = Readonly<Record<ProposalKind, Found>>

interface Solved {
  readonly status: 'optimal' | 'stopped' | 'failed' | 'none'
  readonly bound: number | null
  readonly sets: readonly number[] | null
}

/** One plan for each kind; what one search, a greedy placement or the solver found is worth having in all of them. */
function searched(problem: Problem, options: ProposeOptions) {
  const { moves = MOVES, onProgress } = options
  let isStopped = false
  const part = (from: number) => (share: number) =>
    (isStopped = onProgress?.(from + 0.25 * share) === true || isStopped)
  const solved = answer(problem, relaxedQuestion, options)
  const first = (kind: ProposalKind, at: number) =>
    search(problem, {
      kind,
      moves,
      random: seededRandom(at + 1),
      onProgress: part(0.1 + 0.25 * at),
    })
  const firsts = [first('best', 0), first('shortest', 1)]
  const starts = [...firsts.map(({ sets }) => sets), greedyStart(problem).sets]
  if (solved.sets) starts.push(solved.sets)
  /** Goes on from the start that serves a kind best. */
  function from(kind: ProposalKind, share: number, at: number, more: Further = {}): Found {
    const { within = 0, heat = GENTLE_HEAT } = more
    const [start] = starts
      .map(sets => ({ sets, cost: costOf(problem, kind, sets, within) }))
      .sort((one, other) => one.cost - other.cost)
    return search(problem, {
      kind,
      within,
      heat,
      moves: isStopped ? 0 : Math.floor(moves * share),
      random: seededRandom(20 + at),
      ...(start && { from: start.sets }),
    })
  }
  const shortest = from('shortest', 0.25, 2)
  const best = atLeastAsGood(problem, from('best', 0.25, 0), starts)
  const within = Math.min(best.points, shortest.points) + LOSS
  const fewest = answer(problem, of => fewestQuestion(of, within), options)
  starts.push(
    best.sets,
    problem.cells.map(({ now }) => now),
  )
  if (fewest.sets) starts.push(fewest.sets)
  const found: FoundByKind = {
    best,
    // Few changes lie far apart: some searches leave the start further than others.
    fewest_changes: FEWEST_HEATS.map((heat, at) =>
      from('fewest_changes', 0.5, 40 + at, { within, heat }),
    ).reduce((one, other) => (other.cost < one.cost ? other : one)),
    shortest,
  }
  return { found, solved, fewest }
}

/** A plan, or where a start misses fewer points than it the best that comes of that start without missing more. */
function atLeastAsGood(
  problem: Problem,
  found: Found,
  starts: readonly (readonly number[])[],
): Found {
  const points = (sets: readonly number[]) => {
    const state = scorer(problem)
    sets.forEach((count, at) => state.set(at, count))
    return problem.cells.every(({ at }) => state.fits(at)) ? state.points() : Infinity
  }
  const [least] = starts
    .map(sets => ({ sets, points: points(sets) }))
    .sort((one, other) => one.points - other.points)
  if (!least || least.points >= found.points - 1e-6) return found
  const { sets: from, points: within } = least
  const random = seededRandom(30)
  return search(problem, { kind: 'fewest_changes', within, from, random, moves: 0 })
}

/** Kinds that differ from those before them in substance, and why the others are left out. */
function differing(found: FoundByKind): {
  readonly shown: readonly ProposalKind[]
  readonly leftOut: readonly LeftOut[]
} {
  const shown: ProposalKind[] = []
  const leftOut: LeftOut[] = []
  const isSame = (one: Found, other: Found) =>
    one.sets.filter((sets, at) => sets !== other.sets[at]).length < LEAST_DIFFERENCE
  for (const kind of PROPOSAL_KINDS) {
    const sameAs = shown.find(other => isSame(found[other], found[kind])) ?? null
    const savesTime =
      kind !== 'shortest' ||
      shown.every(other => found[kind].seconds <= (1 - LEAST_SAVING) * found[other].seconds)
    if (sameAs || !savesTime) leftOut.push({ kind, sameAs })
    else shown.push(kind)
  }
  return { shown, leftOut }
}

function statusOf({ status, bound }: Solved, points: number): Proposals['solver'] {
  if (status === 'none' || status === 'failed') return status
  if (bound !== null && points - bound < PROVEN_WITHIN) return 'proven'
  return status === 'stopped' ? 'stopped' : 'gap'
}

/** The proposal that meets the wants best; of those that do so equally the one that changes least. Undefined where there is none. */
export function winnerOf({ proposals }: Pick<Proposals, 'proposals'>): Proposal | undefined {
  return [...proposals].sort(
    (a, b) => Math.round(a.points - b.points) || a.changes.length - b.changes.length,
  )[0]
}

function answer(
  problem: Problem,
  questionOf: (problem: Problem) => LinearQuestion,
  { solver, solverSeconds = SOLVER_SECONDS }: ProposeOptions,
): Solved {
  if (!solver || problem.cells.length === 0) return { status: 'none', bound: null, sets: null }
  const { status, bound, values } = solver(questionOf(problem), solverSeconds)
  // Limits are lifted and wants are soft: what says that nothing fits did not solve it.
  if (status === 'impossible') return { status: 'failed', bound: null, sets: null }
  return {
    status,
    bound: status === 'failed' || bound === null ? null : Math.max(0, bound),
    sets: values && setsOf(problem, values),
  }
}

/** The sets that a solver found, none where a cell cannot have so many. */
const setsOf = ({ cells }: Problem, values: NonNullable<LinearAnswer['values']>) =>
  cells.map(cell => {
    const wanted = Math.round(values.get(`y${cell.at}`) ?? 0)
    return cell.values.includes(wanted) ? wanted : 0
  })

function proposal(problem: Problem, kind: ProposalKind, found: Found): Proposal {
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
  }
}
