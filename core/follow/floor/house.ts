import type { PlainDate } from '../../base'
import { secondsOf } from './clock'

/** When a studio is open, who is there to help, and on which days it is closed; what is left out was not said. */
export interface House {
  /** Clocks such as `06:00`. */
  readonly opens?: string
  readonly closes?: string
  /** Coaches on the floor at a time. */
  readonly coaches?: number
  readonly closed?: readonly PlainDate[]
}
export const MOST_COACHES = 20
export const MOST_CLOSED = 60

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
