import { groupedBy } from '../../base'
import { type FloorDay, floorDay, type FloorSession } from './day'
import { type FloorChange, type FloorGuest, floorSessionOf, guestsAfter, startsOf } from './guests'
import { ALWAYS_OPEN, type FloorHours } from './house'
import { type Cost, NO_COST, standInsAt, turnCost } from './remedyCosts'
import type { StationKind, Stations } from './stations'
import { sumOfWaits, waitedBy } from './waits'

/** A figure before a remedy and after it. */
export interface BeforeAfter {
  readonly before: number
  readonly after: number
}

/** A way out of a wait, with what it costs. Units: seconds; `ends` of the day. */
export interface FloorRemedy {
  readonly change: FloorChange
  /** What whoever waits waits, and what all do. */
  readonly own: BeforeAfter
  readonly all: BeforeAfter
  /** Parts for which there is no station. */
  readonly lacks: BeforeAfter
  /** When the session that is changed ends. */
  readonly ends: BeforeAfter
  /** Who waits longer for it, and how much. */
  readonly others: readonly { readonly session: string; readonly seconds: number }[]
  readonly cost: Cost
}

const MINUTE = 60
/** How far a start is moved from the usual one, and in what steps. */
const SHIFT = { most: 30 * MINUTE, step: 5 * MINUTE } as const
/**
 * What a change weighs against seconds of waiting: each second a start is moved, any change of order, each point of readiness a muscle
 * comes with less, any stand-in; and a part that cannot be done at all, as it is.
 */
const WEIGHT = {
  shift: 0.1,
  turn: MINUTE,
  readiness: 10,
  standIn: 3 * MINUTE,
  lack: 15 * MINUTE,
} as const
/** A remedy saves so much at least. Units: seconds. */
const LEAST_SAVED = MINUTE
const MOST_OFFERED = 3

/** The floor as it is, and whose wait it is. */
interface Scene {
  readonly guests: readonly FloorGuest[]
  readonly sessions: readonly FloorSession[]
  readonly stations: Stations
  readonly day: FloorDay
  readonly waiting: string
}
/** A change with the day it makes. `worth` is what it saves less what it weighs. Units: seconds. */
interface Tried {
  readonly change: FloorChange
  readonly day: FloorDay
  readonly worth: number
}
interface Offer {
  readonly remedy: FloorRemedy
  readonly worth: number
}

/**
 * What can be done so that somebody does not wait: one way of each kind at most, the best first.
 *
 * Shape:  three at most; figures are those of the day simulated with the change.
 * Edge:   none where nobody waits and nothing lacks, where nothing is worth what it costs, and none that touches a session that has begun.
 * Source: docs/methods.md#the-floor.
 */
export function remediesFor(
  waiting: string,
  guests: readonly FloorGuest[],
  stations: Stations,
  hours: FloorHours = ALWAYS_OPEN,
): readonly FloorRemedy[] {
  const sessions = guests.map(floorSessionOf)
  const scene: Scene = { guests, sessions, stations, day: floorDay(sessions, stations), waiting }
  const movers = moversIn(scene)
  const standIns = standInsIn(scene)
  return [
    bestStart(movers, scene, hours),
    best(turnsOf(movers), scene, change => costOfTurn(guests, change)),
    best([...standIns.keys()], scene, change => standIns.get(change) ?? null),
  ]
    .flatMap(offer => offer ?? [])
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_OFFERED)
    .map(({ remedy }) => remedy)
}

/** Every other start and every turn of some that the checks of order allow. */
export function waysToChange(
  movers: readonly FloorGuest[],
  guests: readonly FloorGuest[],
  hours: FloorHours,
): readonly FloorChange[] {
  const turns = turnsOf(movers).filter(change => costOfTurn(guests, change) !== null)
  return [...otherStarts(movers, guests.map(floorSessionOf), hours), ...turns]
}

/** Whoever waits, and whoever has meanwhile what is waited for; none who has begun. */
function moversIn({ guests, day, waiting }: Scene): readonly FloorGuest[] {
  const ids = new Set(
    day.waits
      .filter(({ session }) => session === waiting)
      .flatMap(({ session, holders }) => [session, ...holders]),
  )
  return guests.filter(({ id, isBegun }) => ids.has(id) && !isBegun)
}

/**
 * The best other start of whoever waits or is waited for; where that does not end the wait, of anybody who has not begun: one wait often
 * comes of another.
 */
function bestStart(movers: readonly FloorGuest[], scene: Scene, hours: FloorHours): Offer | null {
  const others = scene.guests.filter(guest => !guest.isBegun && !movers.includes(guest))
  const nears = otherStarts(movers, scene.sessions, hours)
  const wider = [
    () => nears,
    () => (movers.length === 0 ? [] : otherStarts(others, scene.sessions, hours)),
    () => pairsOf(nears, scene),
  ]
  let found: Offer | null = null
  for (const starts of wider) {
    const offer = best(starts(), scene, () => NO_COST)
    if (offer && (!found || offer.worth > found.worth)) found = offer
    if (found && found.remedy.own.after < LEAST_SAVED) break
  }
  return found
}

type Start = Extract<FloorChange, { kind: 'start' }>

/** How many starts of each are moved together with one of whoever waits. */
const MOST_ALSO = 3

/** Two who start otherwise at once: whoever waits at any time, each other one at the times that do most by themselves. */
function pairsOf(starts: readonly Start[], scene: Scene): readonly Start[] {
  const own = starts.filter(({ session }) => session === scene.waiting)
  if (own.length === 0) return []
  const others = groupedBy(
    starts.filter(({ session }) => session !== scene.waiting),
    ({ session }) => session,
  )
  return [...others.values()].flatMap(theirs =>
    theirs
      .map(start => tried(start, scene))
      .sort((a, b) => b.worth - a.worth)
      .slice(0, MOST_ALSO)
      .flatMap(({ change }) =>
        change.kind === 'start'
          ? own.map(one => ({ ...one, also: { session: change.session, start: change.start } }))
          : [],
      ),
  )
}

/** Other starts within half an hour of the usual one, and within the hours of the studio. */
function otherStarts(
  movers: readonly FloorGuest[],
  sessions: readonly FloorSession[],
  hours: FloorHours,
): readonly Start[] {
  const lengths = new Map(
    sessions.map(({ id, parts }) => [
      id,
      parts.reduce((sum, { before, seconds }) => sum + before + seconds, 0),
    ]),
  )
  const steps = SHIFT.most / SHIFT.step
  return movers.flatMap(({ id, start, usual, canMove }) =>
    Array.from({ length: 2 * steps + 1 }, (_, at) => usual + (at - steps) * SHIFT.step)
      .filter(
        other =>
          canMove &&
          other !== start &&
          other >= hours.opens &&
          other + (lengths.get(id) ?? 0) <= hours.closes,
      )
      .map((other): Start => ({ kind: 'start', session: id, start: other })),
  )
}

/** Each two groupings that follow one another, the other way round; what is warm-up or finisher stays where it is. */
const turnsOf = (movers: readonly FloorGuest[]): readonly FloorChange[] =>
  movers.flatMap(({ id, content: { groupings } }) =>
    groupings.slice(1).flatMap((grouping, at): readonly FloorChange[] => {
      const first = groupings[at]
      return first?.placement === 'main' && grouping.placement === 'main'
        ? [{ kind: 'turn', session: id, slot: grouping.slots[0].id, before: first.slots[0].id }]
        : []
    }),
  )

function costOfTurn(guests: readonly FloorGuest[], change: FloorChange): Cost | null {
  const guest = guests.find(({ id }) => id === change.session)
  return guest ? turnCost(guest, change) : null
}

/** Other exercises at the places that wait or for which there is nothing, with their cost. */
function standInsIn({ guests, day, waiting }: Scene): ReadonlyMap<FloorChange, Cost> {
  const guest = guests.find(({ id, isBegun }) => id === waiting && !isBegun)
  const wanted = new Map<number, StationKind>(
    [...day.lacks, ...day.waits]
      .filter(({ session }) => session === waiting)
      .map(({ part, station }) => [part, station]),
  )
  return new Map(
    [...wanted].flatMap(([part, station]) =>
      guest
        ? standInsAt(guest, part, station).map(({ change, cost }) => [change, cost] as const)
        : [],
    ),
  )
}

/** The day with a change in it. */
function tried(change: FloorChange, { guests, sessions, stations, day }: Scene): Tried {
  const changed = guestsAfter(guests, change).map((guest, at) =>
    guest === guests[at] ? (sessions[at] ?? floorSessionOf(guest)) : floorSessionOf(guest),
  )
  const after = floorDay(changed, stations)
  const saved =
    sumOfWaits(day) - sumOfWaits(after) + (day.lacks.length - after.lacks.length) * WEIGHT.lack
  return { change, day: after, worth: saved - weightOf(change, guests) }
}

/** A start nearer the usual one than it is now weighs less than nothing. */
function weightOf(change: FloorChange, guests: readonly FloorGuest[]): number {
  switch (change.kind) {
    case 'start':
      return startsOf(change).reduce((sum, { session, start }) => {
        const guest = guests.find(({ id }) => id === session)
        return guest ? sum + (off(guest, start) - off(guest, guest.start)) * WEIGHT.shift : sum
      }, 0)
    case 'turn':
      return WEIGHT.turn
    case 'stand_in':
      return WEIGHT.standIn
  }
}

/** How far a start is from the usual one. Units: seconds. */
const off = ({ usual }: FloorGuest, start: number): number => Math.abs(start - usual)

/** Better for whoever waits, and for all together. */
function helps({ day: after }: Tried, { day, waiting }: Scene): boolean {
  const lacking = (of: FloorDay) => of.lacks.filter(({ session }) => session === waiting).length
  const all = sumOfWaits(day) - sumOfWaits(after)
  if (lacking(after) !== lacking(day)) return lacking(after) < lacking(day) && all > -LEAST_SAVED
  return waitedBy(after, waiting) < waitedBy(day, waiting) && all >= LEAST_SAVED
}

/** The best of them whose cost can be borne; what it costs is looked at from the best on, since that takes longest. */
function best(
  changes: readonly FloorChange[],
  scene: Scene,
  costOf: (change: FloorChange) => Cost | null,
): Offer | null {
  const ranked = changes
    .map(change => tried(change, scene))
    .filter(one => helps(one, scene))
    .sort((a, b) => b.worth - a.worth)
  for (const one of ranked) {
    const cost = costOf(one.change)
    if (!cost) continue
    const less = cost.readiness ? cost.readiness.before - cost.readiness.after : 0
    const worth = one.worth - less * WEIGHT.readiness
    // What costs more than it brings is not said.
    if (worth > 0) return { remedy: remedyOf(one, cost, scene), worth }
  }
  return null
}

function remedyOf({ change, day: after }: Tried, cost: Cost, scene: Scene): FloorRemedy {
  const { day, waiting, guests } = scene
  const both = (of: (one: FloorDay) => number): BeforeAfter => ({
    before: of(day),
    after: of(after),
  })
  return {
    change,
    cost,
    own: both(one => waitedBy(one, waiting)),
    all: both(sumOfWaits),
    lacks: both(({ lacks }) => lacks.length),
    ends: both(({ ends }) => ends.get(change.session) ?? 0),
    others: guests
      .filter(({ id }) => id !== waiting)
      .map(({ id }) => ({ session: id, seconds: waitedBy(after, id) - waitedBy(day, id) }))
      .filter(({ seconds }) => seconds > 0),
  }
}
