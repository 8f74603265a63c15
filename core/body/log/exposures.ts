import { groupedBy, type PlainDate, type SlotId } from '../../base'
import type { LoggedSet } from './loggedSet'

/** Sets of one exercise on one day, in the order done. */
export interface Exposure {
  readonly on: PlainDate
  readonly sets: readonly LoggedSet[]
  /** Done in easier days: says nothing about what to go on with. */
  readonly isEasy?: boolean
}

/** What sets are told apart by: an exercise, or the same held or set up otherwise for its turn. */
export const movementKey = (exercise: string, heldAs?: string | null): string =>
  heldAs ? `${exercise}, ${heldAs}` : exercise

/** Exposures by movement from logged sets with their days, the oldest first. */
export function exposuresByExercise<One extends LoggedSet & { readonly on: PlainDate }>(
  sets: readonly One[],
  isEasy: (on: PlainDate) => boolean = () => false,
  heldAs: (set: One) => string | null | undefined = () => null,
): ReadonlyMap<string, readonly Exposure[]> {
  return new Map(
    [...groupedBy(sets, set => movementKey(set.exercise, heldAs(set)))].map(([movement, own]) => [
      movement,
      [...groupedBy(own, ({ on }) => on)]
        .map(([on, ofDay]): Exposure => ({ on, sets: ofDay, ...(isEasy(on) && { isEasy: true }) }))
        .sort((a, b) => (a.on < b.on ? -1 : 1)),
    ]),
  )
}

/**
 * The sets of a session that speak for each of its exercises, with how they were held or set up where that was for their turn.
 *
 * Edge: where an exercise was done both as usual and otherwise, the usual sets speak.
 */
export function setsByExercise<One extends LoggedSet>(
  sets: readonly One[],
  held: ReadonlyMap<SlotId, string>,
): readonly {
  readonly exercise: One['exercise']
  readonly heldAs: string | null
  readonly sets: readonly One[]
}[] {
  const heldAs = ({ slot }: One) => (slot === null ? undefined : held.get(slot)) ?? null
  return [...groupedBy(sets, ({ exercise }) => exercise)].map(([exercise, own]) => {
    const ways = own.map(heldAs)
    const spoken = ways.includes(null) ? null : (ways[0] ?? null)
    return { exercise, heldAs: spoken, sets: own.filter((_, at) => ways[at] === spoken) }
  })
}
