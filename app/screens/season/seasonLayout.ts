import { addDays, daysBetween, DAYS_PER_WEEK, type PlainDate } from '#core/base'
import type { GirthCourse, SeasonBlock } from '#core/follow/season'

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

/** A week is never narrower than its block's words can bear; what is wider than the screen scrolls. Units: px. */
const LEAST = { width: 600, week: 14 } as const
export function leastWidth(blocks: readonly Pick<SeasonBlock, 'from' | 'to'>[]): number {
  const [first] = blocks
  const to = blocks.reduce((last, block) => (block.to > last ? block.to : last), first?.to ?? '')
  const weeks = first ? (daysBetween(first.from, to as PlainDate) + 1) / DAYS_PER_WEEK : 0
  return Math.max(LEAST.width, Math.round(weeks * LEAST.week))
}

/** Names at the left of the rows, and the page's own edges. Units: px. */
const NAMES = 170
const EDGES = 40
/** Whether a season is wider than a window, its names beside it. */
export const isLongerThan = (blocks: Parameters<typeof leastWidth>[0], window: number): boolean =>
  leastWidth(blocks) + NAMES + EDGES > window

/** How far the drawing is to be scrolled so that a plank is seen; 0 where it is. Units: px, from the left of what is seen. */
export const scrollTo = (left: number, width: number, seen: number): number =>
  left < 0 || left + width > seen ? left - NAMES : 0

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

interface Point {
  readonly x: number
  readonly y: number
}
/** A girth as it is drawn: its days as points, and what measuring errs as a band around them. */
export interface DrawnGirth {
  readonly points: readonly Point[]
  readonly line: string
  readonly band: string
}

/** Girths over the season, all to one scale of centimetres. */
export function drawnGirths(
  told: readonly Pick<GirthCourse, 'points' | 'noise'>[],
  { from, to, x }: SeasonScale,
  height: number,
): readonly DrawnGirth[] {
  const courses = told.map(({ points, noise }) => ({
    noise,
    points: points.filter(({ on }) => from <= on && on <= to),
  }))
  const ends = courses.flatMap(({ points, noise }) =>
    points.flatMap(({ value }) => [value - noise, value + noise]),
  )
  const [least, most] = [Math.min(...ends), Math.max(...ends)]
  const y = (value: number) => height - ((value - least) / Math.max(0.1, most - least)) * height
  const path = (points: readonly Point[]) => points.map(point => `${point.x} ${point.y}`).join('L')
  return courses.map(({ points, noise }): DrawnGirth => {
    if (points.length === 0) return { points: [], line: '', band: '' }
    const at = (off: number) => points.map(({ on, value }) => ({ x: x(on), y: y(value + off) }))
    return {
      points: at(0),
      line: `M${path(at(0))}`,
      band: `M${path(at(noise))}L${path(at(-noise).reverse())}Z`,
    }
  })
}

/** Width a flag with its words takes at least. Units: px. */
const FLAG_WIDTH = 150

/** Events in lanes, so that no flag's words lie over another's; in the order of their days. */
export function eventLanes<One extends { readonly from: PlainDate }>(
  events: readonly One[],
  { x }: SeasonScale,
): readonly (One & { readonly lane: number })[] {
  const ends: number[] = []
  return events.map(event => {
    const left = x(event.from)
    const free = ends.findIndex(end => end <= left)
    const lane = free < 0 ? ends.length : free
    ends[lane] = left + FLAG_WIDTH
    return { ...event, lane }
  })
}
