import {
  clockOf,
  type FloorDay,
  type FloorWait,
  floorDay,
  hoursOf,
  isClosedOn,
  secondsOf,
} from '#core/follow/floor'
import { floorLackWords, floorWaitWords } from '#core/words'
import type { FloorView } from '#shared/contracts/floor'

type Seen = FloorView['sessions'][number]

const MINUTE = 60
/** Less than half a minute is no wait. Units: seconds. */
const LEAST_WAIT = MINUTE / 2

/** The day on one clock. */
export const dayOf = ({ sessions, stations }: FloorView): FloorDay =>
  floorDay(
    sessions.map(({ id, start, parts }) => ({ id, start: secondsOf(start), parts })),
    stations,
  )

/** How a session is called among the others. */
export const firstName = (name: string): string => name.split(' ')[0] ?? name

export const namesOf =
  ({ sessions }: FloorView) =>
  (id: string): string =>
    firstName(sessions.find(one => one.id === id)?.name ?? '')

export const felt = ({ waits }: FloorDay): readonly FloorWait[] =>
  waits.filter(({ seconds }) => seconds >= LEAST_WAIT)

/** Something of the day to look at: whose it is, when, and in words. */
export interface FloorNotice {
  readonly session: string
  /** Units: seconds of the day. */
  readonly at: number
  readonly clock: string
  readonly words: string
}

/** What a session needs that is not there, each thing once. */
const lacksOf = ({ id, start }: Seen, day: FloorDay) =>
  [...new Set(day.lacks.filter(({ session }) => session === id).map(({ station }) => station))].map(
    station => ({ session: id, at: secondsOf(start), words: floorLackWords(station) }),
  )

function hoursOff({ id, start }: Seen, day: FloorDay, view: FloorView) {
  const { opens, closes } = hoursOf(view.house)
  const [from, end] = [secondsOf(start), day.ends.get(id) ?? 0]
  if (isClosedOn(view.house, view.on))
    return [{ session: id, at: from, words: 'the studio is closed' }]
  return [
    ...(from < opens
      ? [{ session: id, at: from, words: `begins before ${clockOf(opens)}, when it opens` }]
      : []),
    ...(end > closes + MINUTE
      ? [{ session: id, at: end, words: `ends after ${clockOf(closes)}, when it closes` }]
      : []),
  ]
}

/** How far a session goes over its minutes because it waits. Units: seconds. */
function overLimit({ id, start, minuteLimit }: Seen, day: FloorDay): number {
  if (minuteLimit === null) return 0
  const waited = day.waits.reduce(
    (sum, wait) => (wait.session === id ? sum + wait.seconds : sum),
    0,
  )
  const over = (day.ends.get(id) ?? 0) - secondsOf(start) - minuteLimit * MINUTE
  return Math.max(0, Math.min(waited, over))
}

/** What there is to look at in a day, by the clock. */
export function noticesOf(view: FloorView, day: FloorDay): readonly FloorNotice[] {
  const nameOf = namesOf(view)
  const waits = felt(day).map(wait => ({
    session: wait.session,
    at: wait.from,
    words: floorWaitWords(wait, nameOf),
  }))
  return [
    ...waits,
    ...view.sessions.flatMap(session => [
      ...lacksOf(session, day),
      ...hoursOff(session, day, view),
    ]),
  ]
    .sort((a, b) => a.at - b.at)
    .map(notice => ({ ...notice, clock: clockOf(notice.at) }))
}

/** A session's minutes as its lane says them: `42`, or `42 + 9` where it waits. */
export interface LaneEnd {
  readonly ends: string
  readonly minutes: string
  readonly waits: boolean
  /** `4 over the limit`; empty where it is within. */
  readonly over: string
}

export function laneEnd(session: Seen, day: FloorDay): LaneEnd {
  const waited = felt(day).reduce(
    (sum, wait) => (wait.session === session.id ? sum + wait.seconds : sum),
    0,
  )
  const end = day.ends.get(session.id) ?? secondsOf(session.start)
  const [all, wait] = [end - secondsOf(session.start), waited].map(seconds =>
    Math.round(seconds / MINUTE),
  ) as [number, number]
  const over = Math.round(overLimit(session, day) / MINUTE)
  return {
    ends: clockOf(end),
    minutes: wait > 0 ? `${all - wait} + ${wait}` : String(all),
    waits: wait > 0,
    over: over > 0 ? `${over} over the limit` : '',
  }
}

/** Most sessions at once. */
export function mostAtOnce(view: FloorView, day: FloorDay): number {
  const spans = view.sessions.map(({ id, start }) => ({
    from: secondsOf(start),
    until: day.ends.get(id) ?? 0,
  }))
  return Math.max(
    0,
    ...spans.map(
      ({ from }) => spans.filter(other => other.from <= from && other.until > from).length,
    ),
  )
}
