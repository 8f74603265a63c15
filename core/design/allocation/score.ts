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

/** Exercises that come or go against the plan and sets that differ, kept up to date cell by cell. */
function changesOf({ cells }: Problem, sets: ArrayLike<number>) {
  const changed = { exercises: 0, sets: 0 }
  const isChanged = ({ now }: Cell, wanted: number) => Number((wanted === 0) !== (now === 0))
  for (const cell of cells) {
    changed.exercises += isChanged(cell, sets[cell.at]!)
    changed.sets += Math.abs(sets[cell.at]! - cell.now)
  }
  function note(at: number, before: number, after: number): void {
    const cell = cells[at]!
    changed.exercises += isChanged(cell, after) - isChanged(cell, before)
    changed.sets += Math.abs(after - cell.now) - Math.abs(before - cell.now)
  }
  return { changed, note }
}

/** Scores a vector of sets again and again, exactly as the board would after the same edits. */
export function scorer(problem: Problem, loosened: Loosened = {}) {
  const state = allocationState(problem)
  const { fits, tight } = limitsOf(problem, state, loosened)
  const { points, misses, stimulus } = wantsOf(problem, state.sums)
  const { sets, seconds, secondsOnDay } = state
  const { changed, note } = changesOf(problem, sets)
  function set(at: number, wanted: number): void {
    note(at, sets[at]!, wanted)
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
