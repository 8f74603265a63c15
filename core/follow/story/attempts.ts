import type { PlainDate } from '../../base'
import { workStages } from '../../plan/scheme'
import type { StoryDay } from './story'

/** A set that was to be a best lift, with what became of it. */
export interface Attempt {
  readonly on: PlainDate
  readonly loadKg: number | null
  readonly intended: number
  readonly done: number
  readonly outcome: 'hit' | 'part' | 'missed'
}

/** Reps each set of a day was meant to have where the plan names an attempt, by the set's number from 1. */
function intendedBySet({ planned }: StoryDay): ReadonlyMap<string, number> {
  const intended = new Map<string, number>()
  for (const { id, scheme } of planned) {
    let set = 0
    for (const run of scheme.runs.filter(({ role }) => role !== 'warmup')) {
      const reps = workStages(run)[0]?.reps
      for (let at = 0; at < run.count; at++) {
        set += 1
        if (reps?.kind === 'exactly' && reps.intended !== undefined)
          intended.set(`${id} ${set}`, reps.intended)
      }
    }
  }
  return intended
}

/** Attempts of an exercise, the oldest first: those the plan names (`1.5 of 2`), with what was done. */
export function attemptsIn(days: readonly StoryDay[]): readonly Attempt[] {
  return days.flatMap(day => {
    const intended = intendedBySet(day)
    return day.sets.flatMap((set): Attempt[] => {
      const wanted = set.stage === 1 ? intended.get(`${set.slot} ${set.set}`) : undefined
      if (wanted === undefined || set.role === 'warmup') return []
      const done = set.reps ?? 0
      return [
        {
          on: day.on,
          loadKg: set.loadKg,
          intended: wanted,
          done,
          outcome: done >= wanted ? 'hit' : done > 0 ? 'part' : 'missed',
        },
      ]
    })
  })
}
