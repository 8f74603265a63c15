import { robustLine, type TrendPoint } from '../log'
import type { Trend } from './verdict'

/** Standard errors to either side that hold four fifths. */
const INTERVAL = 1.28

/** A trend at one time, with the range that holds it four times in five. */
export interface BandPoint {
  readonly week: number
  readonly low: number
  readonly middle: number
  readonly high: number
}

/**
 * A trend as a line with its uncertainty, at the first and last point and a few times between.
 *
 * Units: the points' own.
 * Shape: points in the order of their days; the line that the last of them lies on.
 * Edge:  empty where there is not enough data for a trend.
 */
export function trendBand(
  all: readonly TrendPoint[],
  { verdict, slope, error }: Pick<Trend, 'verdict' | 'slope' | 'error'>,
  steps = 8,
): readonly BandPoint[] {
  if (verdict === 'insufficient' || all.length === 0) return []
  const own = all.filter(({ line }) => line === all.at(-1)?.line)
  const weeks = own.map(({ week }) => week)
  const [first, last] = [Math.min(...weeks), Math.max(...weeks)]
  const mean = weeks.reduce((sum, week) => sum + week, 0) / weeks.length
  const variance = weeks.reduce((sum, week) => sum + (week - mean) ** 2, 0) / weeks.length
  const { base } = robustLine(own.map(({ week, value }) => ({ week, y: Math.log(value) })))
  return Array.from({ length: steps + 1 }, (_, at): BandPoint => {
    const week = first + ((last - first) * at) / steps
    const y = base + slope * week
    const half = INTERVAL * error * Math.sqrt((week - mean) ** 2 + variance)
    return { week, low: Math.exp(y - half), middle: Math.exp(y), high: Math.exp(y + half) }
  })
}
