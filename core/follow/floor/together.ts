import { floorDay } from './day'
import { type FloorChange, type FloorGuest, floorSessionOf, guestAfter } from './guests'
import type { FloorHours } from './house'
import { type FloorRemedy, remediesFor } from './remedies'
import type { Stations } from './stations'
import { sumOfWaits, waitedBy } from './waits'

/** Clients of one hour. */
export const GROUP_SIZE = { least: 2, most: 6 } as const
/** More changes than an hour of six needs. */
const MOST_CHANGES = 12
/** A change that saves less is not worth saying. Units: seconds. */
const LEAST_SAVED = 30

/** A group's hour laid side by side. Units: seconds waited by all of the group. */
export interface Arrangement {
  readonly changes: readonly FloorChange[]
  readonly before: number
  readonly after: number
}

/**
 * Sessions of a group side by side: starts staggered and exercises turned so that stations are free when they are needed.
 *
 * Shape:  changes in the order they are made, each as a remedy would do it: checks of order hold, nothing else is done.
 * Edge:   nobody outside the group is moved; what has begun stays.
 * Source: docs/methods.md#the-floor.
 */
export function arrangedTogether(
  group: ReadonlySet<string>,
  guests: readonly FloorGuest[],
  stations: Stations,
  hours: FloorHours,
): Arrangement {
  const dayOf = (all: readonly FloorGuest[]) => floorDay(all.map(floorSessionOf), stations)
  const waited = (all: readonly FloorGuest[]) => {
    const day = dayOf(all)
    return [...group].reduce((sum, id) => sum + waitedBy(day, id), 0)
  }
  let so = guests
  const changes: FloorChange[] = []
  const before = waited(so)
  while (changes.length < MOST_CHANGES) {
    const best = bestIn(group, so, stations, hours, waited)
    if (!best) break
    changes.push(best.change)
    so = best.guests
  }
  return { changes, before, after: waited(so) }
}

/** The change of somebody of the group that spares the group most, and makes nobody else wait longer. */
function bestIn(
  group: ReadonlySet<string>,
  guests: readonly FloorGuest[],
  stations: Stations,
  hours: FloorHours,
  waited: (guests: readonly FloorGuest[]) => number,
) {
  const now = waited(guests)
  const all = sumOfWaits(floorDay(guests.map(floorSessionOf), stations))
  const ways = [...group]
    .flatMap(id => remediesFor(id, guests, stations, hours))
    .filter(({ change }) => change.kind !== 'stand_in' && group.has(change.session))
    .map(({ change }: FloorRemedy) => {
      const after = guests.map(one => (one.id === change.session ? guestAfter(one, change) : one))
      const day = floorDay(after.map(floorSessionOf), stations)
      return { change, guests: after, saved: now - waited(after), others: sumOfWaits(day) <= all }
    })
    .filter(({ saved, others }) => saved >= LEAST_SAVED && others)
    .sort((a, b) => b.saved - a.saved)
  return ways[0]
}
