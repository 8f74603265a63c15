import type { PlainDate } from '../../base'
import { secondsOf } from './clock'
import { type FloorDay, floorDay, type FloorPart, type FloorWait } from './day'
import { type House, stationsOn } from './house'
import type { Stations } from './stations'

/** A day of the floor as screens have it. */
export interface FloorOn {
  readonly on: PlainDate
  readonly stations: Stations
  readonly house: House
  readonly sessions: readonly {
    readonly id: string
    readonly name: string
    /** A clock such as `17:30`. */
    readonly start: string
    /** Each with the exercises done in it, in words. */
    readonly parts: readonly (FloorPart & { readonly what: string })[]
  }[]
}

/** The day on one clock. */
export const dayOn = (view: FloorOn): FloorDay =>
  floorDay(
    view.sessions.map(({ id, start, parts }) => ({ id, start: secondsOf(start), parts })),
    thereOn(view),
  )

/** What there is on the day to do it on. */
export const thereOn = ({
  stations,
  house,
  on,
}: Pick<FloorOn, 'stations' | 'house' | 'on'>): Stations => stationsOn(stations, house, on)

/** Less than half a minute is no wait. Units: seconds. */
const LEAST_FELT = 30

/** The waits that anybody would notice. */
export const felt = ({ waits }: Pick<FloorDay, 'waits'>): readonly FloorWait[] =>
  waits.filter(({ seconds }) => seconds >= LEAST_FELT)
