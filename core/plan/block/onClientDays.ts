import { DAYS_PER_WEEK } from '../../base'
import type { AvailableDay } from '../method'
import type { RotationDay } from '../rotation'

/** A rotation as it lies on a client's own days. */
export interface DaysOfClient {
  readonly days: readonly RotationDay[]
  /** Sessions for which the client has no day; in the order of the rotation. */
  readonly unplaced: readonly RotationDay[]
  /** Whether days were moved to lie on those of the client. */
  readonly isMoved: boolean
}

const REST: RotationDay = { role: 'rest', sessions: [] }
export const isTraining = ({ sessions }: RotationDay): boolean => sessions.length > 0

/** Every way to take so many of some places, in their order. */
function waysToTake(places: readonly number[], count: number): readonly (readonly number[])[] {
  if (count === 0) return [[]]
  return places.flatMap((place, at) =>
    waysToTake(places.slice(at + 1), count - 1).map(others => [place, ...others]),
  )
}

/** The shortest way from one place to the next round a week, from the smallest up. */
const gapsOf = (places: readonly number[]): readonly number[] =>
  places
    .map((place, at) =>
      at + 1 < places.length ? places[at + 1]! - place : places[0]! + DAYS_PER_WEEK - place,
    )
    .sort((a, b) => a - b)

function compare(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((value, n) => value !== b[n])
  return at < 0 ? 0 : a[at]! - (b[at] ?? 0)
}

/** Places of a week for so many sessions, as far apart as can be; the earlier ones where it makes no difference. */
function spread(places: readonly number[], count: number): readonly number[] {
  return waysToTake(places, count).reduce((best, way) =>
    compare(gapsOf(way), gapsOf(best)) > 0 ? way : best,
  )
}

/** Sessions laid over a week, in their order and as far apart as can be; `own` are places from 0 with their minutes. */
function overWeek(
  days: readonly RotationDay[],
  own: ReadonlyMap<number, number | undefined>,
): Pick<DaysOfClient, 'days' | 'unplaced'> {
  const sessions = days.filter(isTraining)
  const places = [...own.keys()].sort((a, b) => a - b)
  const taken = spread(places, Math.min(sessions.length, places.length))
  return {
    days: Array.from({ length: DAYS_PER_WEEK }, (_, at) => {
      const session = sessions[taken.indexOf(at)]
      return taken.includes(at) && session ? within(session, own.get(at)) : REST
    }),
    unplaced: sessions.slice(taken.length),
  }
}

/** Where each weekday of the client lies in a week that begins on one (1 Monday), with its minutes. */
const placesOf = (available: readonly AvailableDay[], startsOn: number) =>
  new Map(
    available.map(({ weekday, minutes }) => [
      (weekday - startsOn + DAYS_PER_WEEK) % DAYS_PER_WEEK,
      minutes,
    ]),
  )

/** Sessions without days of their own, laid over a client's week; over any week where nothing is known of the days. */
export function overClientWeek(
  sessions: readonly RotationDay[],
  available: readonly AvailableDay[],
  startsOn: number,
): Pick<DaysOfClient, 'days' | 'unplaced'> {
  const any = new Map(Array.from({ length: DAYS_PER_WEEK }, (_, at) => [at, undefined] as const))
  return overWeek(sessions, available.length > 0 ? placesOf(available, startsOn) : any)
}

const within = (day: RotationDay, minutes: number | undefined): RotationDay =>
  minutes === undefined || !isTraining(day) ? day : { ...day, minuteLimit: minutes }

/** The same days with the client's minutes, where none has to move; `own` are places of a week. */
function stayingDays(
  days: readonly RotationDay[],
  own: ReadonlyMap<number, number>,
): readonly RotationDay[] | undefined {
  if (own.size === 0) return days
  const isWeekly = days.length % DAYS_PER_WEEK === 0
  const minutesOn = (at: number) => own.get(at % DAYS_PER_WEEK)
  if (own.size === DAYS_PER_WEEK && !isWeekly) {
    const least = Math.min(...own.values())
    return days.map(day => within(day, least))
  }
  return isWeekly && days.every((day, at) => !isTraining(day) || minutesOn(at) !== undefined)
    ? days.map((day, at) => within(day, minutesOn(at)))
    : undefined
}

/**
 * The days of a rotation put on those on which a client can train, each with the client's minutes.
 *
 * Shape:  a week that begins on the weekday `startsOn` (1 Monday).
 * Edge:   with no days named, or all seven, the rotation stays as it is, with the least of the minutes; one that lies on
 *         the client's days already is not moved; sessions past the client's days are in `unplaced`.
 */
export function onClientDays(
  days: readonly RotationDay[],
  available: readonly AvailableDay[],
  startsOn: number,
): DaysOfClient {
  const own = placesOf(available, startsOn)
  const stays = stayingDays(days, own)
  if (stays) return { days: stays, unplaced: [], isMoved: false }
  return { ...overWeek(days, own), isMoved: true }
}
