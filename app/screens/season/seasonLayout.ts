import { addDays, daysBetween, type PlainDate } from '#core/base'
import type { SeasonBlock } from '#core/follow/season'

/** At least so many days are shown, so that one short block does not fill the page. */
const LEAST_DAYS = 182
/** Cut of a plank's ends. Units: px. */
const SCARF = 9

export interface SeasonScale {
  readonly from: PlainDate
  readonly to: PlainDate
  /** Where a day begins. Units: px from the left of the drawing. */
  readonly x: (day: PlainDate) => number
}

/** From the first block's first day to the last one's last, half a year at least. */
export function seasonScale(blocks: readonly SeasonBlock[], width: number): SeasonScale {
  const from = blocks[0]!.from
  const last = blocks.reduce((latest, { to }) => (to > latest ? to : latest), from)
  const days = Math.max(LEAST_DAYS, daysBetween(from, last) + 1)
  return {
    from,
    to: addDays(from, days - 1),
    x: day => (daysBetween(from, day) / days) * width,
  }
}

/** A block as a plank with scarfed ends, as the corners of a polygon. */
export function plankPoints(
  { from, to }: Pick<SeasonBlock, 'from' | 'to'>,
  { x }: SeasonScale,
  height: number,
): string {
  const [left, right] = [x(from), x(addDays(to, 1)) - 2]
  const scarf = Math.min(SCARF, (right - left) / 3)
  return `${left + scarf},0 ${right},0 ${right - scarf},${height} ${left},${height}`
}

/** Steps of a muscle's sets over a block's rotations, as a path that stands on the foot. */
export function coursePath(
  { passes }: Pick<SeasonBlock, 'passes'>,
  group: keyof SeasonBlock['passes'][number]['sets'],
  { x }: SeasonScale,
  { height, most }: { readonly height: number; readonly most: number },
): string {
  const y = (sets: number) => height - (most > 0 ? Math.min(1, sets / most) : 0) * height
  const [first] = passes
  if (!first) return ''
  const steps = passes.map(
    ({ from, to, sets }) => `L${x(from)} ${y(sets[group] ?? 0)}H${x(addDays(to, 1))}`,
  )
  const last = passes.at(-1)!
  return `M${x(first.from)} ${height}${steps.join('')}L${x(addDays(last.to, 1))} ${height}Z`
}

/** Months and their first days within a scale. */
export function monthStarts({ from, to }: SeasonScale): readonly PlainDate[] {
  const found: PlainDate[] = []
  for (let day = from; day <= to; day = addDays(day, 1)) if (day.endsWith('-01')) found.push(day)
  return found
}
