import { limitsOf, type Loosened } from './limits'
import type { Problem } from './problem'
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
  const { sets, set, seconds, secondsOnDay } = state

  function changes(): { readonly exercises: number; readonly sets: number } {
    let [own, all] = [0, 0]
    for (const { at, now } of problem.cells) {
      const wanted = sets[at] ?? 0
      all += Math.abs(wanted - now)
      own += Number((wanted === 0) !== (now === 0))
    }
    return { exercises: own, sets: all }
  }
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
