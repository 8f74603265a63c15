import { limitsOf, type Loosened } from './limits'
import type { Cell, Problem } from './cells'
import { allocationState } from './state'
import { type Miss, wantsOf } from './wants'

/**
 * How a vector of sets does: points of wants missed, effective sets per 7 days, seconds of the whole rotation. `changes` are
 * exercises whose sets differ from the plan's, of which `comeAndGo` are new or out; `setChanges` adds up by how many sets.
 */
export interface Scored {
  readonly points: number
  readonly misses: readonly Miss[]
  readonly stimulus: number
  readonly seconds: number
  readonly changes: number
  readonly comeAndGo: number
  readonly setChanges: number
}

/** Exercises whose sets differ from the plan's, kept up to date cell by cell. */
function changesOf({ cells }: Problem, sets: ArrayLike<number>) {
  const changed = { lines: 0, comeAndGo: 0, sets: 0 }
  function add({ now }: Cell, wanted: number, sign: 1 | -1): void {
    changed.lines += sign * Number(wanted !== now)
    changed.comeAndGo += sign * Number((wanted === 0) !== (now === 0))
    changed.sets += sign * Math.abs(wanted - now)
  }
  for (const cell of cells) add(cell, sets[cell.at]!, 1)
  function note(at: number, before: number, after: number): void {
    const cell = cells[at]!
    add(cell, before, -1)
    add(cell, after, 1)
  }
  return { changed, note }
}

/** Scores a vector of sets again and again, exactly as the board would after the same edits. */
export function scorer(problem: Problem, loosened: Loosened = {}) {
  const state = allocationState(problem)
  const { fits, tight, limits } = limitsOf(problem, state, loosened)
  const { points, misses, stimulus } = wantsOf(problem, state, loosened)
  const { sets, seconds, secondsOnDay } = state
  const { changed, note } = changesOf(problem, sets)
  function set(at: number, wanted: number): void {
    note(at, sets[at]!, wanted)
    state.set(at, wanted)
  }
  const changes = (): Readonly<typeof changed> => changed
  function scored(): Scored {
    const { lines, comeAndGo, sets: all } = changes()
    return {
      points: points(),
      misses: misses(),
      stimulus: stimulus(),
      seconds: seconds(),
      changes: lines,
      comeAndGo,
      setChanges: all,
    }
  }
  return {
    sets,
    set,
    fits,
    points,
    stimulus,
    changes,
    seconds,
    secondsOnDay,
    scored,
    tightLimits: tight,
    limits,
  }
}

export type Scorer = ReturnType<typeof scorer>
