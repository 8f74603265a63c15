/**
 * How long a client takes against the estimate, learned from the log: factors on rests, on setting up and changing place, and on sets.
 *
 * Units: factors, 1 as estimated; `low` and `high` hold the middle 80 % of sessions around what the factors give.
 * Source: docs/methods.md#minutes-as-a-client-takes-them.
 */
export interface ClientTimes {
  readonly rest: number
  readonly setUp: number
  readonly set: number
  readonly low: number
  readonly high: number
  /** Sessions it is learned from. */
  readonly sessions: number
}
