import { estimatedOneRep, liftedKg, liftsBody } from '../../plan/estimate'
import { type SetValue, setValues } from './dayValue'
import type { LoggedSet } from './loggedSet'

/** One exposure of an exercise as a trend sees it. */
export interface TrendPoint {
  /** Weeks from any fixed day. */
  readonly week: number
  /** RIR-adjusted one-rep estimate, kg. */
  readonly value: number
  readonly repsToFailure: number
  /** Which line it lies on, from 0: a change of set-up begins another; left out, there is one. */
  readonly line?: number
}

/** A set further from failure says too little about strength. */
const MOST_RIR = 4
/** What to count with where nobody reported reps in reserve. */
export const ASSUMED_RIR = 2

/** The one-rep maximum a set speaks for, kg; null where it does not, or where the body lifted belongs to it and is not known here. */
export const setEstimate = ({
  exercise,
  loadKg,
  reps,
  rir,
}: Pick<LoggedSet, 'exercise' | 'loadKg' | 'reps' | 'rir'>): number | null =>
  loadKg && reps && !liftsBody(exercise)
    ? (estimatedOneRep(loadKg, reps, rir ?? ASSUMED_RIR)?.load ?? null)
    : null

/**
 * The trend value of one exposure: the estimate from the first working set at the day's heaviest load.
 *
 * Shape:  all sets of one exercise on one day, in the order done; `bodyKg` is the latest weigh-in up to that day, for body-weight work.
 * Edge:   undefined where no such set has a load, reps up to 20 to failure and RIR up to 4; sets cut short, swung or helped stand apart.
 * Source: docs/methods.md#one-rep-maximum.
 */
export function trendValue(
  sets: readonly LoggedSet[],
  bodyKg: number | null = null,
): Omit<TrendPoint, 'week'> | undefined {
  const lifted = sets.map(set => ({ ...set, loadKg: liftedKg(set.exercise, set.loadKg, bodyKg) }))
  const usable = lifted.filter(
    ({ role, stage, loadKg, reps, rir, isRirOpen, lapses }) =>
      role === 'working' &&
      stage === 1 &&
      !isRirOpen &&
      !lapses?.length &&
      loadKg !== null &&
      loadKg > 0 &&
      reps !== null &&
      reps > 0 &&
      (rir ?? ASSUMED_RIR) <= MOST_RIR,
  )
  const heaviest = Math.max(...usable.map(({ loadKg }) => loadKg ?? 0))
  const first = usable.find(({ loadKg }) => loadKg === heaviest)
  if (!first || first.loadKg === null || first.reps === null) return undefined
  const rir = first.rir ?? ASSUMED_RIR
  const estimate = estimatedOneRep(first.loadKg, first.reps, rir)
  return estimate && { value: estimate.load, repsToFailure: first.reps + rir }
}

/** What a day of an exercise is kept as: its estimate for the eye, and what each set says for trends. */
export interface ExposureValue extends Omit<TrendPoint, 'week' | 'line'> {
  readonly sets: readonly SetValue[]
}

/**
 * One exposure as it is kept beside the log; undefined where no set says anything of strength.
 *
 * Shape: all sets of one exercise on one day, in the order done. A day whose sets give no estimate by the usual bounds (more than 20
 * reps to failure, four or more left) still counts for trends: leaving it out for how it turned out would bend them.
 */
export function exposureValue(
  sets: readonly LoggedSet[],
  bodyKg: number | null = null,
): ExposureValue | undefined {
  const said = setValues(sets, bodyKg)
  const [first] = said
  if (!first) return undefined
  const lead = sets.filter(({ role, stage }) => role === 'working' && stage === 1)[first.place - 1]
  const estimate = trendValue(sets, bodyKg) ?? {
    value: Math.exp(first.y),
    repsToFailure: (lead?.reps ?? 0) + (lead?.rir ?? ASSUMED_RIR),
  }
  return { ...estimate, sets: said }
}
