import { wholeReadiness } from '#core/words'
import type { RailCell } from '#core/count/ledger'
import type { Arrival } from '#core/body/recovery'

interface Drawn {
  readonly cell: RailCell
  readonly arrivals: readonly Arrival[]
  readonly resting: readonly Arrival[]
  readonly worst: Arrival | null
}

const figure = ({ value, low, high, assumed }: RailCell['tally']['direct']) =>
  `${value},${low ?? ''},${high ?? ''},${assumed.length}`
const arrival = ({ day, session, fromDay, hoursSince, readiness, thread, required }: Arrival) =>
  `${day}.${session}<${fromDay} ${hoursSince} ${wholeReadiness(readiness)}${thread[0]}${required}`

/**
 * What a cell draws, as one text: two cells with the same signature look and sound alike, so the second need not be drawn.
 *
 * An edit touches a few cells of a board of a hundred; without this every one of them was drawn anew for each key press.
 */
export function cellSignature({ cell, arrivals, resting, worst }: Drawn, day: number): string {
  const pieces = cell.pieces.map(
    ({ slot, credit, pegs, sets }) =>
      `${slot.id}:${slot.exercise}:${credit}:${pegs}:${sets.value}:${slot.isHeld ? 1 : 0}`,
  )
  const own = (of: readonly Arrival[]) =>
    of
      .filter(one => one.day === day || one.fromDay === day)
      .map(arrival)
      .join(';')
  return [
    pieces.join('|'),
    figure(cell.tally.direct),
    figure(cell.tally.indirect),
    own(arrivals),
    own(resting),
    worst ? arrival(worst) : '',
  ].join('#')
}
