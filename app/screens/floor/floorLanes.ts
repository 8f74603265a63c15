import {
  clockOf,
  felt,
  type FloorDay,
  secondsOf,
  type StationKind,
  STATIONS,
  thereOn,
} from '#core/follow/floor'
import { floorNames } from '#core/words'
import type { FloorView } from '#shared/contracts/floor'

/** A stretch of a lane. Units: percent of the lane's width. */
export interface LaneBox {
  readonly key: string
  readonly kind: 'way' | 'part' | 'wait'
  readonly left: number
  readonly width: number
  /** What is written in it where there is room, and all of it for a pointer. */
  readonly label: string
  readonly title: string
  /** What it holds that there are few of. */
  readonly station: string
}
/** A row of boxes with who or what it is. */
export interface Lane {
  readonly id: string
  readonly name: string
  readonly about: string
  readonly boxes: readonly LaneBox[]
}
/** The clock all lanes lie on. Units: seconds of the day, percent. */
export interface LaneScale {
  readonly from: number
  readonly until: number
  readonly ticks: readonly { readonly left: number; readonly clock: string }[]
}

const MINUTE = 60
const HALF_HOUR = 30 * MINUTE
/** Clocks written on a scale at most; further apart where the day is long. */
const MOST_TICKS = 9

/** A stretch of the day with people in it, between hours with none. Units: seconds of the day. */
export interface DayPart {
  readonly id: string
  readonly name: string
  readonly sessions: readonly string[]
}
/** Nobody there for so long parts the day. */
const PAUSE = 60 * MINUTE
/** How a part of the day is called whose middle is before an hour. */
const PART_NAMES = [
  [11, 'Morning'],
  [14, 'Midday'],
  [17, 'Afternoon'],
  [24, 'Evening'],
] as const

/** The parts a day falls into, in order; two of one name are told by their hours. */
export function dayParts({ sessions }: FloorView, day: FloorDay): readonly DayPart[] {
  const parts: { from: number; until: number; ids: string[] }[] = []
  const spans = sessions
    .map(({ id, start }) => ({ id, from: secondsOf(start), until: day.ends.get(id) ?? 0 }))
    .sort((a, b) => a.from - b.from)
  for (const { id, from, until } of spans) {
    const last = parts.at(-1)
    if (!last || from > last.until + PAUSE) parts.push({ from, until, ids: [id] })
    else {
      last.ids.push(id)
      last.until = Math.max(last.until, until)
    }
  }
  const names = parts.map(
    ({ from, until }) =>
      PART_NAMES.find(([hour]) => (from + until) / 2 < hour * 60 * MINUTE)?.[1] ?? 'Evening',
  )
  return parts.map(({ from, ids }, at) => {
    const name = names[at] ?? ''
    const isTwice = names.filter(other => other === name).length > 1
    return { id: clockOf(from), name: isTwice ? `${name}, ${clockOf(from)}` : name, sessions: ids }
  })
}

/** The part of a day that is looked at first: where most is waited, then where most people are. */
export function busiest(parts: readonly DayPart[], { waits }: FloorDay): DayPart | undefined {
  const waited = ({ sessions }: DayPart) =>
    waits.reduce((sum, wait) => (sessions.includes(wait.session) ? sum + wait.seconds : sum), 0)
  return [...parts].sort(
    (a, b) => waited(b) - waited(a) || b.sessions.length - a.sessions.length,
  )[0]
}

/** A day with the sessions of one part of it alone. */
export const partOfView = (view: FloorView, { sessions }: DayPart): FloorView => ({
  ...view,
  sessions: view.sessions.filter(({ id }) => sessions.includes(id)),
})

/** From the half hour before the first comes to the half hour after the last goes. */
export function scaleOf({ sessions }: FloorView, day: FloorDay): LaneScale {
  const starts = sessions.map(({ start }) => secondsOf(start))
  const from = Math.floor(Math.min(...starts) / HALF_HOUR) * HALF_HOUR
  const last = Math.max(...sessions.map(({ id }) => day.ends.get(id) ?? from))
  const until = Math.ceil(last / HALF_HOUR) * HALF_HOUR
  const steps = Math.round((until - from) / HALF_HOUR)
  const every = Math.ceil((steps + 1) / MOST_TICKS)
  return {
    from,
    until,
    ticks: Array.from({ length: steps + 1 }, (_, at) => from + at * HALF_HOUR)
      .filter((_, at) => at % every === 0)
      .map(at => ({ left: leftOf(at, { from, until }), clock: clockOf(at) })),
  }
}

type Span = Pick<LaneScale, 'from' | 'until'>

/** Where a moment lies on a scale. Units: percent. */
export const leftOf = (at: number, { from, until }: Span): number =>
  until === from ? 0 : (100 * (at - from)) / (until - from)

const placed = (from: number, seconds: number, scale: Span) => ({
  left: leftOf(from, scale),
  width: leftOf(from + seconds, scale) - leftOf(from, scale),
})
const roundMinutes = (seconds: number) => Math.max(1, Math.round(seconds / MINUTE))

/** A wait narrower than this says its minutes alone. Units: percent. */
const LEAST_FOR_UNIT = 5
function waitLabel(seconds: number, scale: LaneScale): string {
  const minutes = roundMinutes(seconds)
  return placed(scale.from, seconds, scale).width < LEAST_FOR_UNIT ? `${minutes}` : `${minutes} min`
}

/** One part of a session: the way to it, the wait before it, and the work. */
function boxesOf(
  { id, parts }: FloorView['sessions'][number],
  { part, from, until }: FloorDay['stretches'][number],
  { view, waits, scale }: Drawn,
): readonly LaneBox[] {
  const own = parts[part]
  if (!own) return []
  const wait = waits.find(one => one.session === id && one.part === part)
  const needs = own.needs.filter(kind => thereOn(view)[kind] !== undefined)
  const way: LaneBox = {
    key: `${id} ${part} way`,
    kind: 'way',
    ...placed((wait?.from ?? from) - own.before, own.before, scale),
    label: '',
    title: part === 0 ? 'getting warm' : 'on the way',
    station: '',
  }
  const waited: readonly LaneBox[] = wait
    ? [
        {
          key: `${id} ${part} wait`,
          kind: 'wait',
          ...placed(wait.from, wait.seconds, scale),
          label: waitLabel(wait.seconds, scale),
          title: `waits for ${STATIONS[wait.station].one}`,
          station: 'waits',
        },
      ]
    : []
  const work: LaneBox = {
    key: `${id} ${part}`,
    kind: 'part',
    ...placed(from, until - from, scale),
    label: own.what,
    title: `${clockOf(from)} to ${clockOf(until)}: ${own.what}`,
    station: needs.map(kind => STATIONS[kind].name).join(', '),
  }
  return [...(way.width > 0 ? [way] : []), ...waited, work]
}
/** What boxes are drawn from. */
interface Drawn {
  readonly view: FloorView
  readonly waits: ReturnType<typeof felt>
  readonly scale: LaneScale
}

/** One lane a client. */
export function clientLanes(view: FloorView, day: FloorDay, scale: LaneScale): readonly Lane[] {
  const drawn = { view, waits: felt(day), scale }
  return view.sessions.map(session => {
    const { id, name, what, start, usual } = session
    return {
      id,
      name,
      about: `${what} at ${start}${start === usual ? '' : `, usually ${usual}`}`,
      boxes: day.stretches
        .filter(stretch => stretch.session === id)
        .flatMap(stretch => boxesOf(session, stretch, drawn)),
    }
  })
}

/** Boxes in as few rows as they need, so that none lies on another. */
function inRows(boxes: readonly LaneBox[]): readonly (readonly LaneBox[])[] {
  const rows: LaneBox[][] = []
  for (const box of [...boxes].sort((a, b) => a.left - b.left)) {
    const free = rows.find(row => {
      const last = row.at(-1)
      return !last || last.left + last.width <= box.left + 1e-6
    })
    if (free) free.push(box)
    else rows.push([box])
  }
  return rows
}

/** One lane and more for each kind of station there are few of: who has it when, and who waits for it. */
export function stationLanes(view: FloorView, day: FloorDay, scale: LaneScale): readonly Lane[] {
  const nameOf = floorNames(view)
  const there = thereOn(view)
  const kinds = Object.keys(there) as readonly StationKind[]
  return kinds.flatMap(kind => {
    const held = day.stretches.flatMap(({ session, part, from, until }) => {
      const own = view.sessions.find(({ id }) => id === session)?.parts[part]
      return own?.needs.includes(kind) && until > scale.from && from < scale.until
        ? [
            {
              key: `${kind} ${session} ${part}`,
              kind: 'part' as const,
              ...placed(from, until - from, scale),
              label: nameOf(session),
              title: `${clockOf(from)} to ${clockOf(until)}: ${nameOf(session)}, ${own.what}`,
              station: '',
            },
          ]
        : []
    })
    const waiting = felt(day)
      .filter(({ station, from }) => station === kind && from >= scale.from && from < scale.until)
      .map(({ session, part, from, seconds }) => ({
        key: `${kind} ${session} ${part} wait`,
        kind: 'wait' as const,
        ...placed(from, seconds, scale),
        label: nameOf(session),
        title: `${nameOf(session)} waits ${roundMinutes(seconds)} min`,
        station: '',
      }))
    return [...inRows(held), ...inRows(waiting)].map((boxes, at) => ({
      id: `${kind} ${at}`,
      name: at === 0 ? STATIONS[kind].name : '',
      about: at === 0 ? `${there[kind]} there` : '',
      boxes,
    }))
  })
}
