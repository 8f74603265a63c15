import type { RosterEntry } from '#shared/contracts/roster'

type StripDay = NonNullable<RosterEntry['block']>['days'][number]

/** A peg of the strip: where it stands, and on which side of the line. */
export interface StripPeg {
  readonly x: number
  readonly side: 'flexors' | 'triceps'
}
export interface StripPlace {
  readonly x: number
  readonly width: number
  readonly day: StripDay
  readonly pegs: readonly StripPeg[]
}

const PITCH = 3.4
const WIDEST_PEG_ROW = 0.86

function row(
  count: number,
  centre: number,
  room: number,
  side: StripPeg['side'],
): readonly StripPeg[] {
  const pitch = Math.min(PITCH, count > 1 ? (room * WIDEST_PEG_ROW) / (count - 1) : PITCH)
  return Array.from({ length: count }, (_, at) => ({
    side,
    x: centre + (at - (count - 1) / 2) * pitch,
  }))
}

/** Places the days of a rotation side by side in `width` pixels, with a peg for each direct arm set. */
export function stripLayout(days: readonly StripDay[], width: number): readonly StripPlace[] {
  const room = width / days.length
  return days.map((day, at) => {
    const centre = (at + 0.5) * room
    return {
      x: at * room,
      width: room,
      day,
      pegs: [
        ...row(Math.round(day.flexors), centre, room, 'flexors'),
        ...row(Math.round(day.triceps), centre, room, 'triceps'),
      ],
    }
  })
}
