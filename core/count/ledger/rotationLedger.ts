import { type Figure, plus, ZERO } from '../../base'
import { type Group, GROUPS, type Muscle, MUSCLES } from '../../plan/catalogue'
import {
  type Band,
  bandOf,
  type BandPosition,
  COUNTING_SCHOOLS,
  type CurveAge,
  effectiveSets,
  groupPosition,
  type Mode,
  modeOf,
  type PlanContext,
  setsOutsideBand,
  type SideLoad,
  trainingAge,
} from '../../plan/method'
import type { Rotation } from '../../plan/rotation'
import { type CountedWork, countedWorkOfDay } from './countedWork'
import { per7Days, type Spread, spreadOf } from './spread'
import { type SpanLedger, spanLedger, sumOfLedgers, type Tally, tallyTimes } from './tally'

/** One group over a rotation, as a week sees it. */
export interface GroupWeek {
  readonly group: Group
  /** Units: sets per 7 days. */
  readonly week: Tally
  /** Effective sets per 7 days, where the school bends the worth of a session; null in the others. */
  readonly effectivePer7Days: number | null
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
  const fractional =
    school.id === 'fractional'
      ? days
      : work.map(pieces => spanLedger(pieces, COUNTING_SCHOOLS.fractional))
  const scale = per7Days(1, rotation.days.length)
  const sideLoads = [...(rotation.sideLoads ?? []), ...(context.client.sideLoads ?? [])]
  return {
    work,
    days,
    total,
    groups: Object.fromEntries(
      GROUPS.map(group => [
        group,
        groupWeek(group, { own: days, fractional, total, sideLoads, scale }, context),
      ]),
    ) as Record<Group, GroupWeek>,
    muscles: Object.fromEntries(
      MUSCLES.map(muscle => [muscle, tallyTimes(total.muscles[muscle], scale)]),
    ) as Record<Muscle, Tally>,
  }
}

/** Indirect sets per 7 days from what is done besides the plan; an amount nobody knows leaves the sum open at the top. */
function sideSets(group: Group, loads: readonly SideLoad[]): Figure {
  return loads
    .filter(({ groups }) => groups.includes(group))
    .reduce<Figure>(
      (sum, { times: { low, high }, setsEach, isEstimate }) =>
        plus(
          sum,
          setsEach === null
            ? { value: 0, low: 0, high: Infinity, assumed: ['side_load'] }
            : {
                value: ((low + high) / 2) * setsEach,
                low: low * setsEach,
                high: high * setsEach,
                assumed: isEstimate ? ['side_load'] : [],
              },
        ),
      ZERO,
    )
}

function withSideSets(week: Tally, added: Figure): Tally {
  return added === ZERO
    ? week
    : {
        direct: week.direct,
        indirect: plus(week.indirect, added),
        counted: plus(week.counted, added),
      }
}

function effectiveWeek(
  group: Group,
  days: readonly SpanLedger[],
  scale: number,
  context: PlanContext,
): number | null {
  if (!context.method.school.sessionCurve) return null
  const age: CurveAge = trainingAge(context.client.trainingAgeMonths) === 'new' ? 'new' : 'trained'
  return (
    scale *
    days.reduce((sum, { groups }) => sum + effectiveSets(groups[group].counted.value, age), 0)
  )
}

interface Days {
  readonly own: readonly SpanLedger[]
  readonly fractional: readonly SpanLedger[]
  readonly total: SpanLedger
  readonly sideLoads: readonly SideLoad[]
  readonly scale: number
}

function groupWeek(
  group: Group,
  { own, fractional, total, sideLoads, scale }: Days,
  context: PlanContext,
): GroupWeek {
  const counts = context.method.school.credit !== 'direct'
  const week = withSideSets(
    tallyTimes(total.groups[group], scale),
    counts ? sideSets(group, sideLoads) : ZERO,
  )
  const effective = effectiveWeek(group, own, scale, context)
  const mode = modeOf(context, group)
  const band = bandOf(context, group)
  const sets = {
    direct: week.direct.value,
    counted: week.counted.value,
    ...(effective !== null && { effective }),
  }
  return {
    group,
    week,
    effectivePer7Days: effective,
    mode,
    band,
    position: groupPosition(sets, band, mode),
    outside: setsOutsideBand(sets, band, mode),
    spread: spreadOf(
      fractional.map(({ groups }) => groups[group].counted.value),
      context.method.dose.minSetsPerExposure,
    ),
  }
}
