import {
  type LoadGrid,
  loadForOther,
  nextWeight,
  previousWeight,
  roundLoad,
} from '../../plan/estimate'
import type { DonePart } from './entry'
import type { SheetMovement, SheetPart } from './sheet'
import type { StandingTurn } from './standing'

/** What the fields of a part begin with. */
export interface Prefill {
  readonly amount: number | null
  readonly count: number | null
  readonly rir: number | null
}

function amountOf(done: DonePart | undefined): number | null {
  return done?.load?.amount ?? null
}

/** The load of a part from what the set's earlier parts were done with; on the other side the first side's own parts count. */
function fromEarlier(part: SheetPart, turn: StandingTurn, grid: LoadGrid): number | null {
  const earlier = turn.parts.filter(
    ({ part: other }) =>
      other.side === part.side && other.stage < part.stage && other.kind === 'work',
  )
  const base =
    part.load.kind === 'share' || part.load.kind === 'less'
      ? part.load.of === 'first'
        ? earlier[0]
        : earlier.at(-1)
      : earlier.at(-1)
  const amount = amountOf(base?.standing?.done)
  if (amount === null) return null
  if (part.load.kind === 'share') return roundLoad(amount * part.load.share, grid, 'down')
  if (part.load.kind === 'less')
    return Math.max(0, roundLoad(amount - part.load.amount, grid, 'down'))
  return amount
}

/** What the same part was done with on the other side. */
function otherSide(part: SheetPart, turn: StandingTurn): DonePart | undefined {
  const done = turn.parts.find(
    ({ part: other, standing }) =>
      other.stage === part.stage && other.side !== part.side && standing !== null,
  )?.standing?.done
  return amountOf(done) === null ? undefined : done
}

/** Reps of the side this part stops at, at the same part of the set; null where it stops at none, or that side is not done yet. */
export function repsToStopAt(turn: StandingTurn, at: number): number | null {
  const part = turn.parts[at]?.part
  if (!part?.stopsAt) return null
  const weak = turn.parts.find(
    ({ part: other }) => other.stage === part.stage && other.side === part.stopsAt,
  )
  return weak?.standing?.done.reps ?? null
}

/** What a set that was to find a weight says about the next one: heavier or lighter at most by this share. */
const FOUND_WITHIN = 0.3
const USUAL_RIR = 2

/** The weight after a set that was to find one, for the reps and reserve that are asked. */
function foundNext(done: DonePart, { count, rir }: SheetPart, grid: LoadGrid): number | null {
  const amount = amountOf(done)
  if (amount === null || amount <= 0 || done.reps === null || count === null) return amount
  const right = loadForOther(
    amount,
    { reps: done.reps, rir: done.rir ?? USUAL_RIR },
    { reps: count, rir: Math.max(rir ?? USUAL_RIR, 0) },
  )
  const bounded = Math.min(
    amount * (1 + FOUND_WITHIN),
    Math.max(amount * (1 - FOUND_WITHIN), right),
  )
  return roundLoad(bounded, grid, 'down')
}

/** A drop nobody planned usually takes a fifth off, and half the reps are done with it. */
const USUAL_DROP = 0.2

const lastPlanned = ({ plan }: StandingTurn) => Math.max(...plan.parts.map(({ stage }) => stage))

function goneOn(part: SheetPart, turn: StandingTurn, grid: LoadGrid): Prefill {
  const before = turn.parts.filter(
    ({ part: other }) => other.side === part.side && other.stage < part.stage,
  )
  const { load, reps } = before.at(-1)?.standing?.done ?? { load: null, reps: null }
  return {
    amount: load && roundLoad(load.amount * (1 - USUAL_DROP), grid, 'down'),
    count: reps === null ? null : Math.max(1, Math.floor(reps / 2)),
    rir: part.rir,
  }
}

type Doing = SheetMovement & { readonly start?: number | null }

/**
 * The load a set begins with: the planned one, or what the set before was done with.
 *
 * A set done with another weight than planned takes the rest of the sets along, unless each has a weight of its own.
 */
function firstLoad(
  part: SheetPart,
  turn: StandingTurn,
  turns: readonly StandingTurn[],
  movement: Doing,
): number | null {
  const planned =
    movement.start === undefined
      ? part.load.kind === 'weight'
        ? part.load.amount
        : null
      : movement.start
  const before = turns
    .filter(
      other =>
        other.slot === turn.slot &&
        other.plan.role === turn.plan.role &&
        other.plan.number < turn.plan.number,
    )
    .at(-1)
  const doneBefore = before?.parts[0]?.standing?.done
  const moved = doneBefore?.exercise === movement.exercise ? amountOf(doneBefore) : null
  if (moved === null) return planned
  if (part.load.kind === 'open' && movement.start === undefined && doneBefore)
    return foundNext(doneBefore, part, movement.scale.grid)
  const plannedBefore =
    before?.plan.parts[0].load.kind === 'weight' ? before.plan.parts[0].load.amount : null
  const haveOneWeight = planned === null || plannedBefore === null || plannedBefore === planned
  return haveOneWeight || movement.start !== undefined ? moved : planned
}

/**
 * Load, count and reps in reserve a part's fields begin with.
 *
 * Shape: `turns` are the session's; an earlier set of the same movement in this session speaks for the load first.
 * Edge:  null where nothing is known; the client then chooses.
 */
export function prefillOf(
  turn: StandingTurn,
  at: number,
  turns: readonly StandingTurn[],
  movement: Doing,
): Prefill {
  const part = turn.parts[at]?.part
  if (!part) return { amount: null, count: null, rir: null }
  const { count, rir } = part
  if (part.load.kind === 'none' || part.kind === 'hold') return { amount: null, count, rir }
  const other = otherSide(part, turn)
  if (other) return { amount: amountOf(other), count: other.reps ?? count, rir }
  if (part.count === null && part.load.kind === 'open' && part.stage > lastPlanned(turn))
    return goneOn(part, turn, movement.scale.grid)
  const isLater = turn.parts.some(
    ({ part: earlier }) =>
      earlier.side === part.side && earlier.kind === 'work' && earlier.stage < part.stage,
  )
  if (isLater)
    return {
      amount:
        part.load.kind === 'weight'
          ? part.load.amount
          : fromEarlier(part, turn, movement.scale.grid),
      count,
      rir,
    }
  return { amount: firstLoad(part, turn, turns, movement), count, rir }
}

/** The weight a tap on plus or minus leads to; off the grid, onto it. */
export function steppedLoad(amount: number | null, grid: LoadGrid, direction: 1 | -1): number {
  const from = amount ?? 0
  if (grid.kind === 'none') return Math.max(0, from + direction)
  return direction > 0 ? (nextWeight(from, grid) ?? from) : previousWeight(from, grid)
}
