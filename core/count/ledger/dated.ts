import { addDays, isoWeekday, type PlainDate, DAYS_PER_WEEK } from '../../base'
import type { Group } from '../../plan/catalogue'
import type { SpanLedger } from './tally'

/** Daily sets of a rotation laid over dates. */
export interface DatedBlock {
  /** Counted sets of each day of one pass. */
  readonly dailySets: readonly number[]
  readonly startsOn: PlainDate
  readonly lengthDays: number
  /** Days of the block, from 0, on which the rotation starts again at its first day. */
  readonly resets?: readonly number[]
}

export interface CalendarWeek {
  readonly startsOn: PlainDate
  /** Days of the block in this week. */
  readonly days: number
  readonly sets: number
  /** Fewer than 7 days: left out of the smallest and largest week. */
  readonly isPartial: boolean
}

/** Counted sets of a group, day by day. */
export function dailySets(days: readonly SpanLedger[], group: Group): readonly number[] {
  return days.map(({ groups }) => groups[group].counted.value)
}

/** Sets of each day of the block; a reset begins the rotation anew. */
function blockDays({ dailySets: pass, lengthDays, resets = [] }: DatedBlock): readonly number[] {
  let phase = 0
  return Array.from({ length: lengthDays }, (_, day) => {
    if (resets.includes(day)) phase = day
    return pass[(day - phase) % pass.length]!
  })
}

/**
 * Sets per calendar week of a dated block.
 *
 * Units:  sets; `weekStart` is the weekday that begins a week, 1 Monday.
 * Edge:   weeks that the block fills only in part are marked; dates are calendar days, so no clock change moves one.
 * Source: docs/methods.md#rotations; examples N9 to N13 and N18 in dated.test.ts.
 */
export function calendarWeeks(block: DatedBlock, weekStart = 1): readonly CalendarWeek[] {
  const intoWeek = (isoWeekday(block.startsOn) - weekStart + DAYS_PER_WEEK) % DAYS_PER_WEEK
  const weeks: { sets: number; days: number }[] = []
  blockDays(block).forEach((sets, day) => {
    const at = Math.floor((intoWeek + day) / DAYS_PER_WEEK)
    const week = (weeks[at] ??= { sets: 0, days: 0 })
    week.sets += sets
    week.days += 1
  })
  return weeks.map(({ sets, days }, at) => ({
    startsOn: addDays(block.startsOn, at * DAYS_PER_WEEK - intoWeek),
    days,
    sets,
    isPartial: days < DAYS_PER_WEEK,
  }))
}

/** Sums of all 7 days in a row that lie wholly inside the block; none for a block shorter than a week. */
export function rollingWindows(block: DatedBlock): readonly number[] {
  const days = blockDays(block)
  const windows = Math.max(0, days.length - DAYS_PER_WEEK + 1)
  return Array.from({ length: windows }, (_, start) =>
    days.slice(start, start + DAYS_PER_WEEK).reduce((sum, sets) => sum + sets, 0),
  )
}
