import { seededRandom, sessionId } from '../../base'
import { applyEdits, armPlacementFit, daysInOrder, type PlanDocument } from '../../plan/block'
import { ARM_GROUPS, type Group } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { DayRole, RotationDay } from '../../plan/rotation'
import {
  type AllocationConcern,
  allocationConcerns,
  allocationEdits,
  allocationProblem,
  greedyStart,
  type LimitUse,
  type Miss,
  type Problem,
  scorer,
  search,
  type Withheld,
} from '../allocation'
import { inArmPairs, ranked } from './arranged'
import { withBackbone } from './backbone'
import { rolesOf, type Structure, structuresFor } from './structures'

/** A whole rotation made from nothing. Minutes of the rotation, effective sets per 7 days. */
export interface Draft {
  readonly id: string
  readonly name: string
  readonly why: string
  readonly days: readonly RotationDay[]
  /** Wants that are missed, worst first, and what they cost in points. */
  readonly misses: readonly Miss[]
  readonly points: number
  readonly stimulus: number
  readonly minutes: number
  readonly limits: readonly LimitUse[]
}

export interface Drafts {
  /** Best first; at most three, each on a structure of its own. */
  readonly drafts: readonly Draft[]
  readonly concerns: readonly AllocationConcern[]
  readonly withheld: readonly Withheld[]
}

export interface DraftOptions {
  readonly newId: () => string
  /** Told how far it is, from 0 to 1; true stops. */
  readonly onProgress?: (share: number) => boolean
  readonly moves?: number
}

const MOST_DRAFTS = 3
const MOVES = 6000
/** Warm enough to leave the greedy start, not so warm as to forget it. */
const DRAFT_HEAT = 200
/** Points that a structure is worth for having arm work where the method has it. */
const PLACEMENT_POINTS = 40

const isTraining = ({ role }: RotationDay) => role !== 'rest'
const isNamed = (role: DayRole) => role !== 'full' && role !== 'open' && role !== 'rest'

/** The coach's own roles, where any day has one; they come before every structure. */
function ownStructure(roles: readonly DayRole[]): Structure | undefined {
  if (!roles.some(isNamed)) return undefined
  return {
    id: 'own',
    name: 'Your days',
    why: 'The roles that the days have on the board.',
    days: [roles.length, roles.length],
    roles: { round: roles },
  }
}

/** The days of a plan with an empty session wherever there is time for one, each for what the structure says. */
function skeleton(plan: PlanDocument, structure: Structure, newId: () => string): PlanDocument {
  const training = plan.rotation.days.filter(isTraining).length
  const roles = [...rolesOf(structure, training)]
  const days = plan.rotation.days.map((day): RotationDay =>
    isTraining(day)
      ? {
          ...day,
          role: roles.shift() ?? day.role,
          sessions: [{ id: sessionId(newId()), groupings: [] }],
        }
      : day,
  )
  return { ...plan, rotation: { ...plan.rotation, days } }
}

/**
 * Whole rotations from nothing: training days, minutes, equipment, method, priorities and pain decide what stands where,
 * direct work and compounds, in the order of the method and paired as it has it.
 *
 * Edge:   a rotation without a training day gives none, and says so. The same question has the same answer but for ids.
 * Source: docs/methods.md#drafts.
 */
export function draftsFrom(
  plan: PlanDocument,
  context: PlanContext,
  { newId, onProgress, moves = MOVES }: DraftOptions,
): Drafts {
  const roles = plan.rotation.days.filter(isTraining).map(({ role }) => role)
  if (roles.length === 0)
    return { drafts: [], concerns: [{ kind: 'no_training_day' }], withheld: [] }
  const own = ownStructure(roles)
  const tried = [...(own ? [own] : []), ...structuresFor(roles.length)].map(structure => {
    const { plan: empty, backbone } = withBackbone(skeleton(plan, structure, newId), context, newId)
    const problem = allocationProblem({ plan: empty, context, scope: 'all', backbone })
    const start = greedyStart(problem)
    const bonus = structure === own ? Infinity : armPlacementPoints(empty, context)
    return { structure, empty, problem, start, cost: start.points - bonus }
  })
  const chosen = tried.sort((a, b) => a.cost - b.cost).slice(0, MOST_DRAFTS)
  const drafts: Draft[] = []
  for (const [at, { structure, empty, problem, start }] of chosen.entries()) {
    const sets = searched(problem, start.sets, moves, at)
    drafts.push(finished(structure, empty, problem, sets, newId))
    if (onProgress?.((at + 1) / chosen.length) === true) break
  }
  const [first] = chosen
  return {
    drafts,
    concerns: first ? allocationConcerns(first.problem).filter(isForDrafts) : [],
    withheld: first?.problem.withheld ?? [],
  }
}
/** Sets that do as much as can be done, with as few exercises as it takes: more sets of fewer are easier to do. */
function searched(
  problem: Problem,
  from: readonly number[],
  moves: number,
  at: number,
): readonly number[] {
  const random = seededRandom(80 + at)
  const full = search(problem, { kind: 'best', moves, random, from, heat: DRAFT_HEAT })
  const within = full.points + 1
  return search(problem, { kind: 'fewest_changes', within, moves, random, from: full.sets }).sets
}

/** What other muscles have no exercise of their own for comes with the compounds; of the arms it is told. */
const isForDrafts = (concern: AllocationConcern) =>
  concern.kind !== 'no_exercise' || (ARM_GROUPS as readonly Group[]).includes(concern.group)

/** What it is worth that a rotation has arm work where the method has it. */
const armPlacementPoints = ({ rotation }: PlanDocument, { method }: PlanContext) =>
  PLACEMENT_POINTS * armPlacementFit(rotation.days, method)

/** The sets as sessions in order, and how the whole of it does. */
function finished(
  { id, name, why }: Structure,
  empty: PlanDocument,
  problem: Problem,
  sets: readonly number[],
  newId: () => string,
): Draft {
  const { context } = problem
  const edits = allocationEdits(problem, sets).map(({ edit }) => edit)
  const filled = applyEdits(empty, edits, newId)
  const inOrder = (filled.ok ? filled.value : empty).rotation.days.map(day => ({
    ...day,
    sessions: day.sessions.map(session => ranked(session, context)),
  }))
  const days = daysInOrder(inOrder, context).map(day => ({
    ...day,
    sessions: day.sessions
      .filter(({ groupings }) => groupings.length > 0)
      .map(session => inArmPairs(session, context, newId)),
  }))
  const whole = allocationProblem({
    plan: { ...empty, rotation: { ...empty.rotation, days } },
    context,
    scope: 'all',
    backbone: new Set(),
  })
  const state = scorer(whole)
  for (const cell of whole.cells) state.set(cell.at, cell.now)
  const { misses, points, stimulus, seconds } = state.scored()
  const limits = state.tightLimits()
  return { id, name, why, days, misses, points, stimulus, minutes: seconds / 60, limits }
}
