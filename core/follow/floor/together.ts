import { type FloorDay, floorDay } from './day'
import {
  type FloorChange,
  type FloorGuest,
  floorSessionOf,
  guestsAfter,
  sessionsOf,
} from './guests'
import type { FloorHours } from './house'
import { remediesFor, waysToChange } from './remedies'
import { unspotted } from './spots'
import type { Stations } from './stations'
import { waitedBy } from './waits'

/** Clients of one hour. */
export const GROUP_SIZE = { least: 2, most: 6 } as const
/** More changes than an hour of six needs. */
const MOST_CHANGES = 12
/** A change that saves less is not worth saying. Units: seconds. */
const LEAST_SAVED = 30
/** What a set to failure under a bar with nobody beside it weighs against waiting. Units: seconds. */
const NO_SPOTTER = 3 * 60

/** What there is to train on, when, and who is there to help. */
export interface Room {
  readonly stations: Stations
  readonly hours: FloorHours
  /** Coaches on the floor; not known where it was not said. */
  readonly coaches?: number | undefined
}

/** How a group's hour goes. */
export interface GroupHour {
  /** What all of the group wait. Units: seconds. */
  readonly waited: number
  /** Sets of the group that want a spotter while all coaches spot others. */
  readonly unspotted: number
}
/** A group's hour laid side by side. */
export interface Arrangement {
  readonly changes: readonly FloorChange[]
  readonly before: GroupHour
  readonly after: GroupHour
}

/** A day with the figures by which it is judged. */
interface Laid {
  readonly guests: readonly FloorGuest[]
  readonly day: FloorDay
  readonly missed: ReturnType<typeof unspotted>
  readonly hour: GroupHour
}

/**
 * Sessions of a group side by side: starts staggered and exercises turned so that stations and coaches are free when they are needed.
 *
 * Shape:  changes in the order they are made, each as a remedy would do it: checks of order hold, nothing else is done.
 * Edge:   nobody outside the group is moved, waits longer or loses her spotter; what has begun stays.
 * Source: docs/methods.md#the-floor.
 */
export function arrangedTogether(
  group: ReadonlySet<string>,
  guests: readonly FloorGuest[],
  room: Room,
): Arrangement {
  const begun = laid(group, guests, room)
  const changes: FloorChange[] = []
  let so = begun
  while (changes.length < MOST_CHANGES) {
    const best = bestIn(group, so, room)
    if (!best) break
    changes.push(best.change)
    so = best.after
  }
  return { changes, before: begun.hour, after: so.hour }
}

function laid(
  group: ReadonlySet<string>,
  guests: readonly FloorGuest[],
  { stations, coaches }: Room,
): Laid {
  const sessions = guests.map(floorSessionOf)
  const day = floorDay(sessions, stations)
  const missed = unspotted(sessions, day, coaches)
  const hour: GroupHour = {
    waited: [...group].reduce((sum, id) => sum + waitedBy(day, id), 0),
    unspotted: missed.filter(({ session }) => group.has(session)).length,
  }
  return { guests, day, missed, hour }
}

const price = ({ waited, unspotted: alone }: GroupHour): number => waited + alone * NO_SPOTTER

/** The change of somebody of the group that spares the group most, at nobody else's expense. */
function bestIn(group: ReadonlySet<string>, now: Laid, room: Room) {
  const outside = now.guests.map(({ id }) => id).filter(id => !group.has(id))
  const ways = changesIn(group, now, room)
    .map(change => {
      const after = laid(group, guestsAfter(now.guests, change), room)
      return { change, after, saved: price(now.hour) - price(after.hour) }
    })
    .filter(
      ({ saved, after }) => saved >= LEAST_SAVED && !outside.some(id => loses(id, now, after)),
    )
    .sort((a, b) => b.saved - a.saved)
  return ways[0]
}

/** Whether somebody waits longer or is left without a spotter oftener. */
function loses(id: string, now: Laid, then: Laid): boolean {
  const alone = ({ missed }: Laid) => missed.filter(({ session }) => session === id).length
  return waitedBy(then.day, id) > waitedBy(now.day, id) || alone(then) > alone(now)
}

/** What can be tried: ways out of each wait, and other starts and orders of whoever has no spotter or takes one. */
function changesIn(
  group: ReadonlySet<string>,
  { guests, missed }: Laid,
  { stations, hours }: Room,
): readonly FloorChange[] {
  const waits = [...group]
    .flatMap(id => remediesFor(id, guests, stations, hours))
    .map(({ change }) => change)
    .filter(change => change.kind !== 'stand_in' && sessionsOf(change).every(id => group.has(id)))
  const atOnce = new Set(
    missed
      .filter(({ session }) => group.has(session))
      .flatMap(({ session, spotted }) => [session, ...spotted]),
  )
  const movers = guests.filter(({ id, isBegun }) => atOnce.has(id) && group.has(id) && !isBegun)
  return [...waits, ...waysToChange(movers, guests, hours)]
}
