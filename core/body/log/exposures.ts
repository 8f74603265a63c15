import { groupedBy, type PlainDate } from '../../base'
import type { LoggedSet } from './loggedSet'

/** Sets of one exercise on one day, in the order done. */
export interface Exposure {
  readonly on: PlainDate
  readonly sets: readonly LoggedSet[]
  /** Done in easier days: says nothing about what to go on with. */
  readonly isEasy?: boolean
}

/** Exposures by exercise from logged sets with their days, the oldest first. */
export function exposuresByExercise(
  sets: readonly (LoggedSet & { readonly on: PlainDate })[],
  isEasy: (on: PlainDate) => boolean = () => false,
): ReadonlyMap<string, readonly Exposure[]> {
  return new Map(
    [...groupedBy(sets, ({ exercise }) => exercise)].map(([exercise, own]) => [
      exercise,
      [...groupedBy(own, ({ on }) => on)]
        .map(([on, ofDay]): Exposure => ({ on, sets: ofDay, ...(isEasy(on) && { isEasy: true }) }))
        .sort((a, b) => (a.on < b.on ? -1 : 1)),
    ]),
  )
}
