import type { Cell, Problem } from './cells'
import { scorer, type Scorer } from './score'

/** Seconds that a cell takes at least: so much once it is there (less than nothing, maybe), so much for each set. */
export interface LeastTime {
  readonly once: number
  readonly each: number
}

/** More combinations than this of sets in one grouping are not tried; its time is left out then. */
const MOST_COMBINATIONS = 1300
const NO_TIME: LeastTime = { once: 0, each: 0 }

interface Timed {
  readonly sets: number
  readonly seconds: number
}

/** The line under some times: as steep as the flattest step; it may begin under nothing, where the last rest falls away. */
function lineUnder(times: readonly Timed[]): LeastTime {
  const steps = times
    .slice(1)
    .map(
      ({ sets, seconds }, at) =>
        (seconds - (times[at]?.seconds ?? 0)) / (sets - (times[at]?.sets ?? 0)),
    )
  const each = steps.length > 0 ? Math.max(0, Math.min(...steps)) : 0
  return { each, once: Math.min(...times.map(({ sets, seconds }) => seconds - each * sets)) }
}

/** Seconds that sets of a cell add where its session holds nothing else, and where it holds something. */
function addedTimes(
  cell: Cell,
  companion: Cell | undefined,
  state: Scorer,
): { readonly alone: readonly Timed[]; readonly beside: readonly Timed[] } {
  function times(): readonly Timed[] {
    state.set(cell.at, 0)
    const without = state.seconds()
    return cell.values
      .filter(sets => sets > 0)
      .map(sets => {
        state.set(cell.at, sets)
        return { sets, seconds: state.seconds() - without }
      })
  }
  const alone = times()
  if (companion) state.set(companion.at, companion.values.at(-1) ?? 0)
  const beside = times()
  state.set(cell.at, 0)
  if (companion) state.set(companion.at, 0)
  return { alone, beside }
}

/** How much less than the sum of their own times the cells of one grouping may take together. */
function pairedShare(
  own: readonly Cell[],
  times: ReadonlyMap<Cell, LeastTime>,
  companion: Cell | undefined,
  state: Scorer,
): number {
  if (own.reduce((product, { values }) => product * values.length, 1) > MOST_COMBINATIONS) return 0
  if (companion) state.set(companion.at, companion.values.at(-1) ?? 0)
  const without = state.seconds()
  let share = 1
  function tries(at: number, alone: number): void {
    const cell = own[at]
    if (!cell) {
      if (alone > 0) share = Math.min(share, Math.max(0, state.seconds() - without) / alone)
      return
    }
    const { once, each } = times.get(cell) ?? NO_TIME
    for (const sets of cell.values) {
      state.set(cell.at, sets)
      tries(at + 1, alone + (sets > 0 ? once + each * sets : 0))
    }
    state.set(cell.at, 0)
  }
  tries(0, 0)
  if (companion) state.set(companion.at, 0)
  return share
}

/** Lower bounds of what the cells add to the time of their day; no numbers of sets take less than the sum of them. */
export interface LeastTimes {
  readonly fixedOnDay: (day: number) => number
  readonly ofCell: (cell: Cell) => LeastTime
  /** What beginning a session takes that holds nothing yet, by place. */
  readonly toBegin: readonly number[]
}

export function leastTimes(problem: Problem): LeastTimes {
  const state = scorer(problem)
  const fixed = problem.plan.rotation.days.map((_, day) => state.secondsOnDay(day))
  const times = new Map<Cell, LeastTime>()
  const toBegin = problem.places.map(({ cells }) => {
    const companionOf = (cell: Cell) =>
      cells.find(other => other.grouping !== cell.grouping && other.grouping.slots.length === 1)
    const added = cells.map(cell => ({ cell, ...addedTimes(cell, companionOf(cell), state) }))
    const begin = Math.max(
      0,
      Math.min(
        ...added.map(({ alone, beside }) => (alone[0]?.seconds ?? 0) - (beside[0]?.seconds ?? 0)),
      ),
    )
    for (const { cell, alone, beside } of added)
      times.set(
        cell,
        lineUnder(
          alone.map(({ sets, seconds }, at) => ({
            sets,
            seconds: Math.min(seconds - begin, beside[at]?.seconds ?? seconds),
          })),
        ),
      )
    for (const cell of cells) {
      const own = cells.filter(other => other.grouping === cell.grouping)
      if (cell.grouping.slots.length === 1 || own[0] !== cell) continue
      const share = pairedShare(own, times, companionOf(cell), state)
      for (const one of own) {
        const { once, each } = times.get(one) ?? NO_TIME
        times.set(one, { once: Math.min(once, once * share), each: each * share })
      }
    }
    return cells.length > 0 ? begin : 0
  })
  return { fixedOnDay: day => fixed[day]!, ofCell: cell => times.get(cell) ?? NO_TIME, toBegin }
}
