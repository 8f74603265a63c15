import { type Group, GROUPS, type Muscle, MUSCLES } from '../catalogue'
import { type Band, bandOf, type BandPosition, COUNTING_SCHOOLS, groupPosition, type Mode, modeOf, type PlanContext, setsOutsideBand } from '../method'
import type { Rotation } from '../rotation'
import { type CountedWork, countedWorkOfDay } from './countedWork'
import { per7Days, type Spread, spreadOf } from './spread'
import { type SpanLedger, spanLedger, sumOfLedgers, type Tally, tallyTimes } from './tally'

/** One group over a rotation, as a week sees it. */
export interface GroupWeek {
  readonly group: Group
  /** Units: sets per 7 days. */
  readonly week: Tally
  readonly mode: Mode
  readonly band: Band
  readonly position: BandPosition
  /** Sets per 7 days under the floor (negative) or over the ceiling (positive); 0 where the position is inside. */
  readonly outside: number
  readonly spread: Spread
}

/** Everything the Split board counts: each day, the rotation, and both seen per 7 days. */
export interface RotationLedger {
  readonly work: readonly (readonly CountedWork[])[]
  readonly days: readonly SpanLedger[]
  readonly total: SpanLedger
  readonly groups: Readonly<Record<Group, GroupWeek>>
  /** Units: sets per 7 days. */
  readonly muscles: Readonly<Record<Muscle, Tally>>
}

/**
 * Direct, indirect and counted sets over one pass of a rotation, with bands and frequency.
 *
 * Shape:   one entry per day, group and muscle, zeros included.
 * Units:   sets under the method's school, unrounded; a rotation of n days scales by 7 / n to a week.
 * Edge:    no sessions gives zeros; warm-up sets never count.
 * Errors:  InvariantError if a slot names an exercise the catalogue lacks.
 * Source:  docs/methods.md#counting and #rotations.
 */
export function rotationLedger(rotation: Rotation, context: PlanContext): RotationLedger {
  const work = rotation.days.map(day => countedWorkOfDay(day, context))
  const { school } = context.method
  const days = work.map(pieces => spanLedger(pieces, school))
  const total = sumOfLedgers(days)
  const fractional = school.id === 'fractional' ? days : work.map(pieces => spanLedger(pieces, COUNTING_SCHOOLS.fractional))
  const scale = per7Days(1, rotation.days.length)
  return {
    work, days, total,
    groups: Object.fromEntries(GROUPS.map(group => [group, groupWeek(group, total, fractional, scale, context)])) as Record<Group, GroupWeek>,
    muscles: Object.fromEntries(MUSCLES.map(muscle => [muscle, tallyTimes(total.muscles[muscle], scale)])) as Record<Muscle, Tally>,
  }
}

function groupWeek(group: Group, total: SpanLedger, fractional: readonly SpanLedger[], scale: number, context: PlanContext): GroupWeek {
  const week = tallyTimes(total.groups[group], scale)
  const mode = modeOf(context, group)
  const band = bandOf(context, group)
  const position = groupPosition({ direct: week.direct.value, counted: week.counted.value }, band, mode)
  const isOut = position === 'below' || position === 'above'
  return {
    group, week, mode, band, position, outside: isOut ? setsOutsideBand(week.counted.value, band) : 0,
    spread: spreadOf(fractional.map(({ groups }) => groups[group].counted.value), context.method.minSetsPerExposure),
  }
}
