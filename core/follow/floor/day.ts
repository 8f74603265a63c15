import type { StationKind, Stations } from './stations'

/** A part of a session done in one go: an exercise, or exercises done together. Units: seconds. */
export interface FloorPart {
  /** Getting warm and on the way there; nothing is held yet. */
  readonly before: number
  /** Setting up and its sets with their rests; what it needs is held through them. */
  readonly seconds: number
  readonly needs: readonly StationKind[]
  /** Sets that want somebody beside them, from where the part begins. */
  readonly spots?: readonly { readonly at: number; readonly seconds: number }[]
}
export interface FloorSession {
  readonly id: string
  /** Units: seconds of the day. */
  readonly start: number
  readonly parts: readonly FloorPart[]
}

/** A part on the clock. Units: seconds of the day. */
export interface FloorStretch {
  readonly session: string
  readonly part: number
  readonly from: number
  readonly until: number
}
/** Somebody stands and waits. Units: seconds, `from` of the day. */
export interface FloorWait {
  readonly session: string
  readonly part: number
  readonly from: number
  readonly seconds: number
  /** What was not free when it was wanted, and who had it then. */
  readonly station: StationKind
  readonly holders: readonly string[]
}
/** A part that wants what the studio does not have. */
export interface FloorLack {
  readonly session: string
  readonly part: number
  readonly station: StationKind
}
export interface FloorDay {
  readonly stretches: readonly FloorStretch[]
  readonly waits: readonly FloorWait[]
  readonly lacks: readonly FloorLack[]
  /** When each session ends. Units: seconds of the day. */
  readonly ends: ReadonlyMap<string, number>
}

/** Where a session stands while the day goes on. */
interface Going {
  readonly session: FloorSession
  part: number
  /** When its part is wanted; while it is done, when it is over. */
  at: number
  state: 'coming' | 'waiting' | 'busy'
  missed: Pick<FloorWait, 'station' | 'holders'> | null
}

const partOf = ({ session, part }: Going): FloorPart | undefined => session.parts[part]
const wayTo = (session: FloorSession, part: number): number => session.parts[part]?.before ?? 0

/**
 * The day as it comes out where nobody gives way: a part begins as soon as all it needs is free at once; of those who wait, whoever came
 * first has the first look, and whoever can begin meanwhile does.
 *
 * Shape:  stretches in the order they begin.
 * Edge:   what is left out of the stations is plenty; of what there is none, nobody waits, and it is told as a lack.
 * Source: docs/methods.md#the-floor.
 */
export function floorDay(sessions: readonly FloorSession[], stations: Stations): FloorDay {
  const day = {
    stretches: [] as FloorStretch[],
    waits: [] as FloorWait[],
    ends: new Map<string, number>(),
  }
  let going: readonly Going[] = sessions.map(session => ({
    session,
    part: 0,
    at: session.start + wayTo(session, 0),
    state: 'coming',
    missed: null,
  }))
  const held: Held = new Map()
  for (let now = soonest(going); now !== null; now = soonest(going)) {
    going = moved(going, now, { ends: day.ends, held })
    const queue = going.filter(isWaiting).sort(byArrival)
    for (const one of queue) begin(one, now, { going, stations, held, day })
  }
  return { ...day, lacks: lacksOf(sessions, stations) }
}

const isWaiting = ({ state }: Going): boolean => state === 'waiting'
/** Whoever came first has the first look; of two at once, whoever began first. */
const byArrival = (a: Going, b: Going): number => a.at - b.at || a.session.start - b.session.start

/** When something happens next: somebody comes, or a part is over. */
function soonest(going: readonly Going[]): number | null {
  let first: number | null = null
  for (const { state, at } of going)
    if (state !== 'waiting' && (first === null || at < first)) first = at
  return first
}

/** How many of each station are in use. */
type Held = Map<StationKind, number>

/** Takes what a part needs, or gives it back. */
function hold(held: Held, part: FloorPart | undefined, by: 1 | -1): void {
  for (const kind of part?.needs ?? []) held.set(kind, (held.get(kind) ?? 0) + by)
}

/** Whoever is done goes on to the next part or home; whoever has come stands in line. */
function moved(
  going: readonly Going[],
  now: number,
  { ends, held }: { readonly ends: Map<string, number>; readonly held: Held },
): readonly Going[] {
  const before = ends.size
  for (const one of going) {
    if (one.at > now || one.state === 'waiting') continue
    if (one.state === 'busy') {
      hold(held, partOf(one), -1)
      one.part += 1
      one.at += wayTo(one.session, one.part)
      one.state = 'coming'
    }
    if (one.at > now) continue
    if (partOf(one)) one.state = 'waiting'
    else ends.set(one.session.id, one.at)
  }
  return ends.size === before ? going : going.filter(one => !ends.has(one.session.id))
}

interface Scene {
  readonly going: readonly Going[]
  readonly stations: Stations
  readonly held: Held
  readonly day: { readonly stretches: FloorStretch[]; readonly waits: FloorWait[] }
}

const holdersOf = (going: readonly Going[], kind: StationKind): readonly string[] =>
  going
    .filter(one => one.state === 'busy' && partOf(one)?.needs.includes(kind))
    .map(({ session }) => session.id)

/** Begins a part where everything it needs is free; else keeps what was missing first. */
function begin(one: Going, now: number, { going, stations, held, day }: Scene): void {
  const wanted = partOf(one)
  if (!wanted) return
  const isTaken = (kind: StationKind) => {
    const pieces = stations[kind] ?? Infinity
    return pieces > 0 && (held.get(kind) ?? 0) >= pieces
  }
  // Most often it is still what was missing before.
  if (one.missed && isTaken(one.missed.station)) return
  const station = wanted.needs.find(isTaken)
  if (station !== undefined) {
    one.missed ??= { station, holders: holdersOf(going, station) }
    return
  }
  const { missed, at: from, part } = one
  const session = one.session.id
  const until = now + wanted.seconds
  if (missed) {
    const { station: kind, holders } = missed
    day.waits.push({ session, part, from, seconds: now - from, station: kind, holders })
  }
  day.stretches.push({ session, part, from: now, until })
  hold(held, wanted, 1)
  one.state = 'busy'
  one.at = until
  one.missed = null
}

const lacksOf = (sessions: readonly FloorSession[], stations: Stations): readonly FloorLack[] =>
  sessions.flatMap(({ id, parts }) =>
    parts.flatMap(({ needs }, part) =>
      needs.flatMap(station => (stations[station] === 0 ? [{ session: id, part, station }] : [])),
    ),
  )
