import { secondsOf } from '#core/follow/floor'

/** A session of today on the time line. */
export interface FloorSession {
  readonly id: string
  readonly who: string
  readonly what: string
  readonly start: string
  readonly minutes: number
  readonly isPressing: boolean
}
/** Where its plank lies: pixels from the left, and the lane from 0. */
export interface FloorPlank {
  readonly session: FloorSession
  readonly x: number
  readonly width: number
  readonly lane: number
  readonly labelSide: 'left' | 'right'
}

/** The floor is open from six to half past nine in the evening. Units: hours. */
export const FLOOR_HOURS = { from: 6, to: 21.5 } as const
const LABEL_ROOM = 118
const LEAST_WIDTH = 14

export const hourOf = (clock: string): number => secondsOf(clock) / 3600

/** Pixels from the left of an hour; hours outside lie on the edge. */
export function floorX(hour: number, width: number): number {
  const share = (hour - FLOOR_HOURS.from) / (FLOOR_HOURS.to - FLOOR_HOURS.from)
  return Math.min(1, Math.max(0, share)) * width
}

/** Lays today's sessions along a time line, each in the first lane that has room for the plank and its label. */
export function floorLayout(
  sessions: readonly FloorSession[],
  width: number,
): readonly FloorPlank[] {
  const ends: number[] = []
  return [...sessions]
    .sort((a, b) => hourOf(a.start) - hourOf(b.start))
    .map(session => {
      const x = floorX(hourOf(session.start), width)
      const plank = Math.max(
        LEAST_WIDTH,
        floorX(hourOf(session.start) + session.minutes / 60, width) - x,
      )
      const labelSide = x + plank + LABEL_ROOM > width ? 'left' : 'right'
      const [left, right] =
        labelSide === 'left' ? [x - LABEL_ROOM, x + plank] : [x, x + plank + LABEL_ROOM]
      const free = ends.findIndex(end => end <= left)
      const lane = free < 0 ? ends.length : free
      ends[lane] = right
      return { session, x, width: plank, lane, labelSide }
    })
}
