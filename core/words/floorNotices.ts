import {
  clockOf,
  felt,
  type FloorDay,
  type FloorOn,
  hoursOf,
  isClosedOn,
  secondsOf,
  unspotted,
} from '../follow/floor'
import { firstName } from './firstName'
import { floorLackWords, floorWaitWords } from './floor'

/** Something of a day on the floor to look at: whose it is, when, and in words. */
export interface FloorNotice {
  readonly session: string
  /** Units: seconds of the day. */
  readonly at: number
  readonly clock: string
  readonly words: string
}
type Notice = Omit<FloorNotice, 'clock'>
type Seen = FloorOn['sessions'][number]

/** First names by session. */
export const floorNames =
  ({ sessions }: Pick<FloorOn, 'sessions'>) =>
  (id: string): string =>
    firstName(sessions.find(one => one.id === id)?.name ?? '')

/** What a session needs that is not there, each thing once. */
const lacksOf = ({ id, start }: Seen, day: FloorDay): readonly Notice[] =>
  [...new Set(day.lacks.filter(({ session }) => session === id).map(({ station }) => station))].map(
    station => ({ session: id, at: secondsOf(start), words: floorLackWords(station) }),
  )

/** What of a session lies outside the hours of the studio. */
function hoursOff({ id, start }: Seen, day: FloorDay, floor: FloorOn): readonly Notice[] {
  const { opens, closes } = hoursOf(floor.house)
  const [from, end] = [secondsOf(start), day.ends.get(id) ?? 0]
  if (isClosedOn(floor.house, floor.on))
    return [{ session: id, at: from, words: 'the studio is closed' }]
  return [
    ...(from < opens
      ? [{ session: id, at: from, words: `begins before ${clockOf(opens)}, when it opens` }]
      : []),
    ...(end > closes + A_MINUTE
      ? [{ session: id, at: end, words: `ends after ${clockOf(closes)}, when it closes` }]
      : []),
  ]
}
const A_MINUTE = 60

/** Sets with nobody beside them, the first of each part. */
function unspottedIn(floor: FloorOn, day: FloorDay): readonly Notice[] {
  const nameOf = floorNames(floor)
  const sessions = floor.sessions.map(one => ({ ...one, start: secondsOf(one.start) }))
  const seen = new Set<string>()
  return unspotted(sessions, day, floor.house.coaches).flatMap(({ session, part, at, spotted }) => {
    const key = `${session} ${part}`
    if (seen.has(key)) return []
    seen.add(key)
    const who = `${spotted.map(nameOf).join(' and ')} ${spotted.length > 1 ? 'are' : 'is'}`
    const what = floor.sessions.find(({ id }) => id === session)?.parts[part]?.what ?? ''
    return [
      {
        session,
        at,
        words: `nobody to spot ${what.toLowerCase()} to failure; ${who} spotted then`,
      },
    ]
  })
}

/** What there is to look at in a day, by the clock. */
export function floorNotices(floor: FloorOn, day: FloorDay): readonly FloorNotice[] {
  const nameOf = floorNames(floor)
  const waits = felt(day).map((wait): Notice => ({
    session: wait.session,
    at: wait.from,
    words: floorWaitWords(wait, nameOf),
  }))
  return [
    ...waits,
    ...unspottedIn(floor, day),
    ...floor.sessions.flatMap(session => [
      ...lacksOf(session, day),
      ...hoursOff(session, day, floor),
    ]),
  ]
    .sort((a, b) => a.at - b.at)
    .map(notice => ({ ...notice, clock: clockOf(notice.at) }))
}
