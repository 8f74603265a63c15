import { median } from './statistics'

/**
 * A line through points that a few wild ones do not bend: the median of pairwise slopes, then of what is left.
 *
 * Units: as the points have them. Edge: slope 0 where there are no two weeks.
 */
export function robustLine(points: readonly { readonly week: number; readonly y: number }[]): {
  readonly slope: number
  readonly base: number
} {
  const slopes = points.flatMap((one, at) =>
    points
      .slice(at + 1)
      .flatMap(other =>
        other.week === one.week ? [] : [(other.y - one.y) / (other.week - one.week)],
      ),
  )
  const slope = slopes.length > 0 ? median(slopes) : 0
  return {
    slope,
    base: points.length > 0 ? median(points.map(({ week, y }) => y - slope * week)) : 0,
  }
}
