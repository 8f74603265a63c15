import { limitsOf, type Loosened } from './limits'
import type { Cell, Problem } from './problem'
import { allocationState } from './state'
import { type Miss, wantsOf } from './wants'

/** How a vector of sets does. Points of wants missed, effective sets per 7 days, seconds of the whole rotation, changes against the plan. */
export interface Scored {
  readonly points: number
  readonly misses: readonly Miss[]
  readonly stimulus: number
  readonly seconds: number
  readonly changes: number
  readonly setChanges: number
}

/** Scores a vector of sets again and again, exactly as the board would after the same edits. */
export function scorer(problem: Problem, loosened: Loosened = {}) {
  const state = allocationState(problem)
  const { fits, tight } = limitsOf(problem, state, loosened)
  const { points, misses, stimulus } = wantsOf(problem, state.sums)
  const { sets, seconds, secondsOnDay } = state
  const changed = { exercises: 0, sets: 0 }

  /** How far a cell's sets are from the plan's, added to what is changed in all. */
  function note({ now }: Cell, wanted: number, sign: 1 | -1): void {
    changed.sets += sign * Math.abs(wanted - now)
    if ((wanted === 0) !== (now === 0)) changed.exercises += sign
  }
  for (const cell of problem.cells) note(cell, sets[cell.at]!, 1)

  function set(at: number, wanted: number): void {
    const cell = problem.cells[at]!
    note(cell, sets[at]!, -1)
    note(cell, wanted, 1)
    state.set(at, wanted)
  }
  const changes = (): Readonly<typeof changed> => changed
  function scored(): Scored {
    const { exercises, sets: all } = changes()
    return {
      points: points(),
      misses: misses(),
      stimulus: stimulus(),
      seconds: seconds(),
      changes: exercises,
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
  }
}

export type Scorer = ReturnType<typeof scorer>
