import type { PlainDate } from '../../base'
import { secondsOf } from './clock'
import type { StationKind, Stations } from './stations'

/** When a studio is open, who is there to help, and on which days it is closed; what is left out was not said. */
export interface House {
  /** Clocks such as `06:00`. */
  readonly opens?: string
  readonly closes?: string
  /** Coaches on the floor at a time. */
  readonly coaches?: number
  readonly closed?: readonly PlainDate[]
  readonly out?: readonly Outage[]
}

/** A station of which there are fewer for some days; `left` of them can still be used. */
export interface Outage {
  readonly station: StationKind
  readonly left: number
  readonly from: PlainDate
  readonly to: PlainDate
}
export const MOST_COACHES = 20
export const MOST_CLOSED = 60
export const MOST_OUT = 20

/** When a studio is open. Units: seconds of the day. */
export interface FloorHours {
  readonly opens: number
  readonly closes: number
}
export const ALWAYS_OPEN: FloorHours = { opens: 0, closes: Infinity }

/** The hours of a studio; one that has not said any is always open. */
export const hoursOf = ({ opens, closes }: House): FloorHours => ({
  opens: opens === undefined ? ALWAYS_OPEN.opens : secondsOf(opens),
  closes: closes === undefined ? ALWAYS_OPEN.closes : secondsOf(closes),
})

export const isClosedOn = ({ closed = [] }: House, on: PlainDate): boolean => closed.includes(on)

/** How many stations can be used on a date: what is out then is not there. */
export const stationsOn = (stations: Stations, { out = [] }: House, on: PlainDate): Stations =>
  out
    .filter(({ from, to }) => from <= on && on <= to)
    .reduce<Stations>(
      (all, { station, left }) => ({ ...all, [station]: Math.min(all[station] ?? left, left) }),
      stations,
    )

/** A house with an outage put in, in place of one of the same station on the same days; those that are over go. */
export function withOutage(house: House, outage: Outage, today: PlainDate): House {
  const others = (house.out ?? []).filter(
    ({ station, from, to }) =>
      to >= today && !(station === outage.station && from === outage.from && to === outage.to),
  )
  return { ...house, out: [...others, outage] }
}
