import { PROPOSAL_GOALS, type ProposalKind } from './goals'
import type { Cell, Problem } from './cells'
import type { Loosened } from './limits'
import { type Scored, scorer, type Scorer } from './score'

export interface SearchOptions {
  readonly kind: ProposalKind
  /** Points that may be missed freely where changes are to be few. */
  readonly within?: number
  /** Numbers from 0 to 1 in a fixed order, so that the same question has the same answer. */
  readonly random: () => number
  readonly moves: number
  /** Cost that may be gone back on at first; less keeps near to where the search begins. */
  readonly heat?: number
  readonly loosened?: Loosened
  /** Where to begin instead of the plan as it is. */
  readonly from?: readonly number[]
  /** Told after every thousandth part; true stops. */
  readonly onProgress?: (share: number) => boolean
}

export interface Found extends Scored {
  readonly sets: readonly number[]
  /** What the search made small, by its kind. */ readonly cost: number
}

/** What a search makes small: the wants first, then what its goal asks (goals.ts). */
const cost = (kind: ProposalKind, state: Scorer, within: number): number =>
  PROPOSAL_GOALS[kind].cost(state, within)

/** The plan as it is, with sets taken out where it breaks a limit, the last first. */
function start(problem: Problem, state: Scorer, from: readonly number[] | undefined): void {
  for (const cell of problem.cells) state.set(cell.at, from?.[cell.at] ?? cell.now)
  for (const cell of [...problem.cells].reverse()) {
    while (!state.fits(cell.at) && (state.sets[cell.at] ?? 0) > 0)
      state.set(cell.at, fewer(cell, state.sets[cell.at] ?? 0) ?? 0)
  }
}

const fewer = ({ values }: Cell, now: number) => values.findLast(value => value < now)

/** A step down; what a rotation is built on stays at its fewest. */
const below = (cell: Cell, now: number): number => fewer(cell, now) ?? now

function above({ values }: Cell, now: number): number {
  return values.find(value => value > now) ?? now
}

/** One step: a set more or less, sets carried to another cell of the same muscle, or one exercise for another. */
function step(
  problem: Problem,
  state: Scorer,
  byGroup: ReadonlyMap<string, readonly Cell[]>,
  random: () => number,
): readonly (readonly [at: number, before: number])[] {
  const pick = <Item>(items: readonly Item[]): Item =>
    items[Math.floor(random() * items.length)] as Item
  const change = (cell: Cell, wanted: number): readonly [number, number] => {
    const before = state.sets[cell.at] ?? 0
    state.set(cell.at, wanted)
    return [cell.at, before]
  }
  const cell = pick(problem.cells)
  const now = state.sets[cell.at] ?? 0
  const dice = random()
  if (dice < 0.3) return [change(cell, random() < 0.5 ? above(cell, now) : below(cell, now))]
  if (dice < 0.4) return [change(cell, now > 0 ? cell.values[0]! : pick(cell.values))]
  const other = pick(
    byGroup.get(dice < 0.85 ? cell.main : pick([...byGroup.keys()])) ?? problem.cells,
  )
  if (other === cell) return [change(cell, above(cell, now))]
  if (dice < 0.7)
    return now > 0
      ? [change(cell, below(cell, now)), change(other, above(other, state.sets[other.at] ?? 0))]
      : [change(cell, above(cell, now))]
  const wanted = other.values.includes(now) ? now : above(other, 0)
  return now > 0 && (state.sets[other.at] ?? 0) === 0
    ? [change(cell, cell.values[0]!), change(other, wanted)]
    : [change(cell, below(cell, now))]
}

const COLD = 0.3
const PARTS = 200

/**
 * Looks for the best sets by simulated annealing, from the plan as it is; limits hold at every step.
 *
 * Edge:   nothing to decide gives the plan itself; a fixed number of moves and given chance make it repeatable.
 * Source: docs/methods.md#proposals.
 */
export function search(
  problem: Problem,
  {
    kind,
    within = 0,
    random,
    moves,
    loosened,
    from,
    heat: hot = PROPOSAL_GOALS[kind].heat,
    onProgress,
  }: SearchOptions,
): Found {
  const state = scorer(problem, loosened)
  start(problem, state, from)
  const byGroup = new Map<string, Cell[]>()
  for (const cell of problem.cells)
    byGroup.set(cell.main, [...(byGroup.get(cell.main) ?? []), cell])
  const price = () => cost(kind, state, within)
  let now = price()
  let [best, bestSets] = [now, Array.from(state.sets)]
  const all = problem.cells.length === 0 ? 0 : moves
  const perPart = Math.max(1, Math.floor(all / PARTS))
  for (let move = 0; move < all; move++) {
    if (move % perPart === 0 && onProgress?.(move / all) === true) break
    const heat = hot * (COLD / hot) ** (move / all)
    const undo = step(problem, state, byGroup, random)
    const next = undo.every(([at]) => state.fits(at)) ? price() : Infinity
    if (next <= now || random() < Math.exp((now - next) / heat)) {
      now = next
      if (now < best - 1e-9) [best, bestSets] = [now, Array.from(state.sets)]
    } else for (const [at, before] of [...undo].reverse()) state.set(at, before)
  }
  bestSets.forEach((sets, at) => state.set(at, sets))
  polish(problem, state, price)
  if (PROPOSAL_GOALS[kind].settles) settle(problem, state, price)
  return { ...state.scored(), sets: Array.from(state.sets), cost: price() }
}

/** Single steps downhill until none helps. */
function polish(problem: Problem, state: Scorer, price: () => number): void {
  let now = price()
  for (let isBetter = true; isBetter;) {
    isBetter = false
    for (const cell of problem.cells) {
      for (const wanted of cell.values) {
        if (wanted === (state.sets[cell.at] ?? 0)) continue
        const held = state.sets[cell.at] ?? 0
        state.set(cell.at, wanted)
        const next = state.fits(cell.at) ? price() : Infinity
        if (next < now - 1e-9) [now, isBetter] = [next, true]
        else state.set(cell.at, held)
      }
    }
  }
}

const MOST_PASSES = 4

/** Takes changes back one by one, where need be with a set more or less elsewhere, for as long as that leaves fewer of them. */
function settle(problem: Problem, state: Scorer, price: () => number): void {
  const sets = (cell: Cell) => state.sets[cell.at] ?? 0
  let now = price()
  function tries(cell: Cell): boolean {
    const before = sets(cell)
    state.set(cell.at, cell.now)
    if (state.fits(cell.at) && price() < now - 1e-9) return true
    // What a change back leaves short is made up by the same muscle, or given up in the same session.
    for (const other of problem.cells.filter(
      ({ main, place }) => main === cell.main || place === cell.place,
    )) {
      const held = sets(other)
      for (const wanted of other === cell
        ? []
        : [below(other, held), above(other, held), other.now]) {
        if (wanted === held) continue
        state.set(other.at, wanted)
        if (state.fits(cell.at) && state.fits(other.at) && price() < now - 1e-9) return true
        state.set(other.at, held)
      }
    }
    state.set(cell.at, before)
    return false
  }
  for (let pass = 0, isBetter = true; isBetter && pass < MOST_PASSES; pass++) {
    isBetter = false
    for (const cell of problem.cells) {
      if (sets(cell) === cell.now || !tries(cell)) continue
      now = price()
      isBetter = true
    }
  }
}

/** What some sets cost by a kind, once they are within the limits. */
export function costOf(
  problem: Problem,
  kind: ProposalKind,
  sets: readonly number[],
  within = 0,
): number {
  const state = scorer(problem)
  start(problem, state, sets)
  return cost(kind, state, within)
}

/** A plain placement to be no worse than: from no open sets at all, again and again the one step that helps the wants most. */
export function greedyStart(problem: Problem): {
  readonly sets: readonly number[]
  readonly points: number
} {
  const state = scorer(problem)
  for (const { at, values } of problem.cells) {
    state.set(at, values[0]!)
    if (!state.fits(at)) state.set(at, 0)
  }
  let now = state.points()
  for (;;) {
    let best: { at: number; sets: number; points: number } | undefined
    for (const cell of problem.cells) {
      const before = state.sets[cell.at] ?? 0
      const next = above(cell, before)
      if (next === before) continue
      state.set(cell.at, next)
      const points = state.fits(cell.at) ? state.points() : Infinity
      if (points < (best?.points ?? now) - 1e-9) best = { at: cell.at, sets: next, points }
      state.set(cell.at, before)
    }
    if (!best) return { sets: Array.from(state.sets), points: now }
    state.set(best.at, best.sets)
    now = best.points
  }
}
