import { groupedBy, type PlainDate } from '../../base'

/** The last so many estimates say how strong a client is now; one good day alone does not. */
const LATEST = 3

/**
 * Strength by exercise from estimates in any order: the middle of the last three.
 *
 * Units: as given; of two the lower is taken, to plan with.
 */
export function recentBest(
  estimates: readonly {
    readonly exercise: string
    readonly on: PlainDate
    readonly value: number
  }[],
): readonly { readonly exercise: string; readonly value: number }[] {
  return [...groupedBy(estimates, ({ exercise }) => exercise)].map(([exercise, own]) => {
    const latest = [...own]
      .sort((a, b) => b.on.localeCompare(a.on))
      .slice(0, LATEST)
      .map(({ value }) => value)
      .sort((a, b) => a - b)
    return { exercise, value: latest[Math.floor((latest.length - 1) / 2)] ?? 0 }
  })
}
