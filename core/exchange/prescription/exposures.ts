import { groupedBy, type PlainDate } from '../../base'
import type { LoggedSet } from '../../body/log'
import { saidAmount } from '../../plan/estimate'
import type { WeightUnit } from '../../plan/scheme'

/** What reps in reserve are taken for where nobody said. */
const USUAL_RIR = 2

/** Sets of one exercise on one day, in the order done. */
export interface Exposure {
  readonly on: PlainDate
  readonly sets: readonly LoggedSet[]
}

/** First parts of the working sets at the day's heaviest load: what a load rule goes by. */
export function decidingSets(
  { sets }: Exposure,
  unit: WeightUnit,
):
  | {
      readonly load: number
      readonly done: readonly { readonly reps: number; readonly rir: number }[]
    }
  | undefined {
  const own = sets.filter(
    ({ role, stage, loadKg, reps }) =>
      role === 'working' && stage === 1 && loadKg !== null && reps !== null,
  )
  const heaviest = Math.max(...own.map(({ loadKg }) => loadKg ?? 0))
  if (!(heaviest > 0)) return undefined
  // Of two arms in one set the weaker one decides.
  const weaker = (sides: readonly LoggedSet[]) => ({
    reps: Math.min(...sides.map(({ reps }) => reps ?? 0)),
    rir: Math.min(...sides.map(({ rir }) => rir ?? USUAL_RIR)),
  })
  const done = [
    ...groupedBy(
      own.filter(({ loadKg }) => loadKg === heaviest),
      ({ slot, set }) => `${slot ?? ''} ${set}`,
    ).values(),
  ].map(weaker)
  return { load: saidAmount(heaviest, unit), done }
}

/** Exposures by exercise from logged sets with their days, the oldest first. */
export function exposuresByExercise(
  sets: readonly (LoggedSet & { readonly on: PlainDate })[],
): ReadonlyMap<string, readonly Exposure[]> {
  return new Map(
    [...groupedBy(sets, ({ exercise }) => exercise)].map(([exercise, own]) => [
      exercise,
      [...groupedBy(own, ({ on }) => on)]
        .map(([on, ofDay]) => ({ on, sets: ofDay }))
        .sort((a, b) => (a.on < b.on ? -1 : 1)),
    ]),
  )
}
