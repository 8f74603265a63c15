import { daysBetween, type PlainDate } from '../../base'

/** One value of what a goal is measured by. Units: those of the measure. */
export interface GoalPoint {
  readonly on: PlainDate
  readonly value: number
}
/** What a client wants to reach, and by when. */
export interface GoalAim {
  readonly target: number
  readonly by: PlainDate
  /** From when on it counts. */
  readonly since: PlainDate
}

export type GoalState = 'reached' | 'on_course' | 'behind' | 'open' | 'over'

/** Where a goal stands. */
export interface GoalCourse {
  readonly start: GoalPoint | null
  readonly now: GoalPoint | null
  /** Part of the way, 0 to 1 and beyond; null where the way has no length or no beginning. */
  readonly share: number | null
  /** What the course so far leads to on the day, with its 80 % interval; null while too little is known. */
  readonly expected: { readonly value: number; readonly low: number; readonly high: number } | null
  readonly state: GoalState
}

/** A course is told from so many values on, spread over so many days. Rule of thumb: docs/methods.md#goals. */
const TOLD_FROM = { values: 4, days: 21 } as const
/** 80 % of a normal distribution lie within so many standard errors. */
const Z_80 = 1.2816

/** Straight line through points by least squares, with the standard error of what it says of another day. */
function lineThrough(points: readonly GoalPoint[], from: PlainDate) {
  const xs = points.map(({ on }) => daysBetween(from, on))
  const count = points.length
  const meanX = xs.reduce((sum, x) => sum + x, 0) / count
  const meanY = points.reduce((sum, { value }) => sum + value, 0) / count
  const spread = xs.reduce((sum, x) => sum + (x - meanX) ** 2, 0)
  const slope =
    points.reduce((sum, { value }, at) => sum + ((xs[at] ?? 0) - meanX) * (value - meanY), 0) /
    spread
  const at = (day: number) => meanY + slope * (day - meanX)
  const residual = points.reduce((sum, { value }, n) => sum + (value - at(xs[n] ?? 0)) ** 2, 0)
  const variance = residual / Math.max(1, count - 2)
  return {
    at,
    errorAt: (day: number) => Math.sqrt(variance * (1 + 1 / count + (day - meanX) ** 2 / spread)),
  }
}

/**
 * Where a goal stands on a day, from its values in the order of their days.
 *
 * Shape:  a goal that lies above its start is reached from below, one that lies under it from above.
 * Edge:   `on_course` and `behind` only where the whole 80 % interval of what is expected lies on one side; else `open`.
 * Source: docs/methods.md#goals.
 */
export function goalCourse(
  values: readonly GoalPoint[],
  { target, by, since }: GoalAim,
  today: PlainDate,
): GoalCourse {
  const before = values.filter(({ on }) => on <= since).at(-1)
  const later = values.filter(({ on }) => on > since && on <= today)
  const points = [...(before ? [before] : []), ...later]
  const [start] = points
  const now = points.at(-1)
  if (!start || !now)
    return {
      start: null,
      now: null,
      share: null,
      expected: null,
      state: today > by ? 'over' : 'open',
    }
  const way = target - start.value
  const isDone = (value: number) => (way >= 0 ? value >= target : value <= target)
  const share = way === 0 ? null : (now.value - start.value) / way
  const isKnown =
    points.length >= TOLD_FROM.values && daysBetween(start.on, now.on) >= TOLD_FROM.days
  const line = isKnown ? lineThrough(points, start.on) : null
  const day = daysBetween(start.on, by)
  const expected = line && {
    value: line.at(day),
    low: line.at(day) - Z_80 * line.errorAt(day),
    high: line.at(day) + Z_80 * line.errorAt(day),
  }
  const stateAhead = (): GoalState => {
    if (!expected) return 'open'
    if (isDone(expected.low) && isDone(expected.high)) return 'on_course'
    return isDone(expected.low) || isDone(expected.high) ? 'open' : 'behind'
  }
  const state = isDone(now.value) ? 'reached' : today > by ? 'over' : stateAhead()
  return { start, now, share, expected, state }
}

/** Days a goal still has; negative once it is over. */
export const daysToGo = ({ by }: Pick<GoalAim, 'by'>, today: PlainDate): number =>
  daysBetween(today, by)
