import type { PlainDate } from '../../base'
import { type LoggedSet, setEstimate } from '../../body/log'
import type { StoryDay } from './story'

/** A best set with its day and how the station was set up. */
export interface BestSet {
  readonly kind: 'estimate' | 'load' | 'reps'
  readonly on: PlainDate
  readonly set: LoggedSet
  readonly setUp: string
  /** What one rep would be, kg; null where the set does not tell. */
  readonly estimateKg: number | null
}

/** Loads whose best reps are listed, the heaviest first. */
const MOST_LOADS = 5

interface Done extends Omit<BestSet, 'kind'> {
  readonly load: number
  readonly reps: number
}

function doneOn({ on, sets, setUp }: StoryDay): readonly Done[] {
  return sets.flatMap((set): Done[] => {
    const { loadKg, reps, role, stage, lapses } = set
    if (role !== 'working' || stage !== 1 || lapses?.length || !loadKg || !reps) return []
    return [{ on, set, setUp, estimateKg: setEstimate(set), load: loadKg, reps }]
  })
}

/** The first of those that have most: a best is held by whoever reached it first. */
const most = (all: readonly Done[], of: (one: Done) => number): Done | undefined =>
  all.reduce<Done | undefined>((best, one) => (best && of(best) >= of(one) ? best : one), undefined)

const bestOf = (kind: BestSet['kind'], { load: _l, reps: _r, ...done }: Done): BestSet => ({
  kind,
  ...done,
})

/**
 * The best sets of an exercise: the highest estimate, the heaviest load, and most reps at each of the heaviest loads.
 *
 * Shape: in that order, each set once; sets cut short, loose or helped hold no best.
 */
export function bestSets(days: readonly StoryDay[]): readonly BestSet[] {
  const all = days.flatMap(doneOn)
  const estimate = most(all, one => one.estimateKg ?? 0)
  const heaviest = most(all, ({ load, reps }) => load * 1000 + reps)
  const loads = [...new Set(all.map(({ load }) => load))].sort((a, b) => b - a).slice(0, MOST_LOADS)
  const reps = loads.flatMap(load => {
    const best = most(
      all.filter(one => one.load === load),
      one => one.reps,
    )
    return best && best.set !== heaviest?.set ? [bestOf('reps', best)] : []
  })
  return [
    ...(estimate && estimate.estimateKg !== null ? [bestOf('estimate', estimate)] : []),
    ...(heaviest ? [bestOf('load', heaviest)] : []),
    ...reps,
  ]
}
