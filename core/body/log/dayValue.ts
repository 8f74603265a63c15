import type { LoggedSet } from './loggedSet'
import { liftedKg } from '../../plan/estimate'

/** What one working set says of strength: ln of the one-rep maximum, and its variance. */
export interface SetValue {
  /** Among the day's working sets of the exercise, from 1. */
  readonly place: number
  readonly y: number
  readonly variance: number
}

/** How reserve is read and how far people misjudge it. Units: reps. Source: docs/methods.md#trend. */
const RESERVE = {
  /** Added to what was said: people have more left than they think. */
  more: 0.7,
  moreAtFailure: 0.3,
  unsaid: 1.5,
  spread: 0.95,
  spreadAtFailure: 0.5,
  spreadUnsaid: 1.3,
  spreadOpen: 1.8,
} as const
/** Reps are whole numbers: the variance of rounding. */
const ROUNDING = 1 / 12
const TURN = 10
/** Beyond so many reps to failure an estimate says less and less. */
const SURE_REPS = 20
/** An exercise aimed above so many reps is not judged. */
export const MOST_AIM = 20
/** Sets of one day share part of their error. */
const SHARED = 0.45
/** Offset of a later set before anything is known, and the sets it counts as. */
const LATER_SET = -0.012
const PRIOR_SETS = 3

function reserveOf({ rir, isRirOpen }: Pick<LoggedSet, 'rir' | 'isRirOpen'>): {
  readonly reps: number
  readonly spread: number
} {
  if (rir === null) return { reps: RESERVE.unsaid, spread: RESERVE.spreadUnsaid }
  if (isRirOpen || rir >= 4)
    return { reps: Math.min(rir, 4) + RESERVE.more, spread: RESERVE.spreadOpen }
  return rir < 1
    ? { reps: rir + RESERVE.moreAtFailure, spread: RESERVE.spreadAtFailure }
    : { reps: rir + RESERVE.more, spread: RESERVE.spread }
}

/** ln of the one-rep maximum per load at reps to failure, and its derivative by reps. */
function perRep(toFailure: number): { readonly ln: number; readonly by: number } {
  return toFailure <= TURN
    ? { ln: Math.log(36 / (37 - toFailure)), by: 1 / (37 - toFailure) }
    : { ln: Math.log(1 + toFailure / 30), by: 1 / (30 + toFailure) }
}

/** What one set says of strength: ln of the one-rep maximum with its variance. Units: of `load`. */
export function setReading(
  load: number,
  reps: number,
  said: Pick<LoggedSet, 'rir' | 'isRirOpen'>,
): { readonly y: number; readonly variance: number } {
  const { reps: left, spread } = reserveOf(said)
  const toFailure = reps + left
  const { ln, by } = perRep(toFailure)
  const beyond = Math.max(0, toFailure - SURE_REPS) / TURN
  return {
    y: Math.log(load) + ln,
    variance: (spread ** 2 + ROUNDING) * by ** 2 * (1 + beyond) ** 2,
  }
}

/** Variance of a day with so many sets alike: they share part of their error. */
export const sharedVariance = (ofOne: number, sets: number): number =>
  (ofOne / sets) * (1 + (sets - 1) * SHARED)

/**
 * What the working sets of one exercise on one day say, set by set; nothing is left out for how it turned out.
 *
 * Shape:  sets in the order done; `bodyKg` is the weigh-in of the day, for body-weight work.
 * Edge:   sets without a load or reps, later parts of a set, and sets cut short, loose or helped say nothing.
 * Source: docs/methods.md#trend.
 */
export function setValues(
  sets: readonly LoggedSet[],
  bodyKg: number | null = null,
): readonly SetValue[] {
  const working = sets.filter(({ role, stage }) => role === 'working' && stage === 1)
  return working.flatMap((set, at): SetValue[] => {
    const load = liftedKg(set.exercise, set.loadKg, bodyKg)
    if (!load || load <= 0 || !set.reps || set.lapses?.length) return []
    return [{ place: at + 1, ...setReading(load, set.reps, set) }]
  })
}

/** The usual offset of each place from the day's first set, drawn to what is usual while there is little; by place, from 1. */
export function placeOffsets(days: readonly (readonly SetValue[])[]): ReadonlyMap<number, number> {
  const sums = new Map<number, { sum: number; count: number }>()
  for (const day of days) {
    const first = day.find(({ place }) => place === 1)
    if (!first) continue
    for (const { place, y } of day) {
      if (place === 1) continue
      const known = sums.get(place) ?? { sum: 0, count: 0 }
      sums.set(place, { sum: known.sum + y - first.y, count: known.count + 1 })
    }
  }
  return new Map(
    [...sums].map(([place, { sum, count }]) => [
      place,
      (sum + PRIOR_SETS * LATER_SET * (place - 1)) / (count + PRIOR_SETS),
    ]),
  )
}

/** The value of a day: its sets at their places, weighed by how surely each speaks; undefined where none does. */
export function dayValue(
  sets: readonly SetValue[],
  offsets: ReadonlyMap<number, number>,
): { readonly y: number; readonly variance: number } | undefined {
  if (sets.length === 0) return undefined
  let [weights, sum] = [0, 0]
  for (const { place, y, variance } of sets) {
    weights += 1 / variance
    sum += (y - (offsets.get(place) ?? (place > 1 ? LATER_SET * (place - 1) : 0))) / variance
  }
  return {
    y: sum / weights,
    variance: sharedVariance(sets.length / weights, sets.length),
  }
}
