import { roundHalfUp, recordOf } from '../../base'
import { GROUPS, type Group } from '../catalogue'
import { effectiveSets, type CurveAge } from './sessionCurve'
import type { CountingSchool } from './school'

export const MODES = ['build', 'keep', 'maintain'] as const
export type Mode = (typeof MODES)[number]

export const TRAINING_AGES = ['new', 'mid', 'adv'] as const
export type TrainingAge = (typeof TRAINING_AGES)[number]

/** Floor, target and ceiling of weekly sets. Units: sets per 7 days. */
export interface Band {
  readonly floor: number
  readonly target: number
  readonly ceiling: number
}

/** Training age by months of planned training: under 12, up to 36, more. */
export function trainingAge(months: number): TrainingAge {
  if (months < 12) return 'new'
  return months <= 36 ? 'mid' : 'adv'
}

type Cells = readonly [floor: number, target: number, ceiling: number]
interface BandRow {
  readonly build: Readonly<Record<TrainingAge, Cells>>
  readonly directFactor: number
  readonly wholeFactor: number
}

function row(
  fresh: Cells,
  mid: Cells,
  adv: Cells,
  directFactor: number,
  wholeFactor: number,
): BandRow {
  return { build: { new: fresh, mid, adv }, directFactor, wholeFactor }
}

/** Bands in `build` mode and the factors to the other schools, by group. Source and confidence: docs/methods.md#bands. */
export const BAND_ROWS: Readonly<Record<Group, BandRow>> = {
  biceps: row([6, 9, 13], [9, 14, 20], [12, 18, 26], 0.6, 1.4),
  elbow_flexors_other: row([4, 7, 12], [6, 11, 17], [8, 14, 22], 0.25, 2.0),
  triceps: row([6, 10, 14], [10, 16, 22], [13, 20, 28], 0.6, 1.4),
  forearms: row([0, 3, 8], [2, 5, 11], [3, 7, 14], 0.3, 0.5),
  chest: row([6, 9, 12], [9, 13, 18], [11, 16, 22], 0.95, 1.05),
  delts_front: row([3, 6, 10], [4, 8, 14], [5, 9, 16], 0.35, 1.6),
  delts_side: row([5, 8, 12], [8, 13, 20], [10, 16, 24], 0.8, 1.2),
  delts_rear: row([4, 7, 12], [6, 10, 17], [8, 13, 21], 0.6, 1.4),
  lats: row([6, 9, 13], [8, 13, 18], [10, 15, 22], 0.65, 1.2),
  upper_back: row([6, 9, 13], [8, 13, 19], [10, 15, 23], 0.65, 1.3),
  traps: row([1, 3, 8], [2, 5, 12], [3, 7, 14], 0.4, 1.4),
  lower_back: row([2, 4, 7], [3, 5, 9], [3, 6, 10], 0.4, 1.5),
  abs: row([3, 6, 10], [4, 8, 14], [5, 10, 16], 0.9, 1.0),
  glutes: row([5, 8, 12], [7, 11, 16], [8, 13, 20], 0.5, 1.4),
  quads: row([6, 9, 12], [8, 12, 17], [10, 14, 20], 0.95, 1.05),
  hamstrings: row([5, 8, 11], [6, 10, 15], [8, 12, 17], 0.75, 1.2),
  calves: row([5, 8, 12], [7, 11, 16], [9, 13, 20], 1.0, 1.0),
}

/** How keep and maintain follow from the build target; maintain keeps a floor of at least 1. */
const DERIVED = { keep: [0.45, 0.6, 0.8], maintain: [0.2, 0.33, 0.5] } as const

/** Floor, target and ceiling, each changed by itself. */
function eachCell([floor, target, ceiling]: Cells, change: (cell: number) => number): Cells {
  return [change(floor), change(target), change(ceiling)]
}

function cellsOf(group: Group, age: TrainingAge, mode: Mode): Cells {
  const build = BAND_ROWS[group].build[age]
  if (mode === 'build') return build
  const [floor, target, ceiling] = eachCell(DERIVED[mode], factor => roundHalfUp(factor * build[1]))
  if (build[0] === 0) return [0, target, ceiling]
  return [mode === 'maintain' ? Math.max(1, floor) : floor, target, ceiling]
}

function schoolFactor(group: Group, school: CountingSchool): number {
  switch (school.credit) {
    case 'as_is':
      return 1
    case 'direct':
      return BAND_ROWS[group].directFactor
    case 'whole':
      return BAND_ROWS[group].wholeFactor
  }
}

/**
 * Floor, target and ceiling of a group for a client.
 *
 * Units:   sets per 7 days in the counting of `school`, whole numbers.
 * Source:  docs/methods.md#bands; the scale of the method comes after the conversion to the school.
 * Example: bands B1 to B3 in band.test.ts.
 */
export function bandFor(
  group: Group,
  options: {
    readonly age: TrainingAge
    readonly mode: Mode
    readonly school: CountingSchool
    readonly scale: number
  },
): Band {
  const cells = cellsOf(group, options.age, options.mode)
  const factor = schoolFactor(group, options.school)
  const converted = factor === 1 ? cells : eachCell(cells, cell => roundHalfUp(cell * factor))
  const [floor, target, ceiling] =
    options.scale === 1 ? converted : eachCell(converted, cell => roundHalfUp(cell * options.scale))
  if (!options.school.sessionCurve) return { floor, target, ceiling }
  return curveBand(
    { floor: converted[0], target: converted[1], ceiling: converted[2] },
    options.age,
    options.scale,
  )
}

/** Floor and target in effective sets, as of a band trained on two days; the ceiling is about cost and stays in sets. */
function curveBand(band: Band, age: TrainingAge, scale: number): Band {
  const curve: CurveAge = age === 'new' ? 'new' : 'trained'
  const onTwoDays = (sets: number) => 2 * effectiveSets(sets / 2, curve) * scale
  return {
    floor: onTwoDays(band.floor),
    target: onTwoDays(band.target),
    ceiling: band.ceiling * scale,
  }
}

export const BAND_POSITIONS = ['below', 'low', 'on_target', 'high', 'above'] as const
export type BandPosition = (typeof BAND_POSITIONS)[number]

const SLACK = 1e-9
/** Within a tenth of the target counts as on target. */
const TARGET_SLACK = 0.1

/**
 * Where a weekly number stands in its band; compared unrounded.
 *
 * Edge: under a school with a session curve floor and target look at `effective` sets, the ceiling at all of them.
 */
export function bandPosition(sets: number, band: Band, effective = sets): BandPosition {
  const weeklySets = effective
  if (sets > band.ceiling + SLACK) return 'above'
  if (weeklySets < band.floor - SLACK) return 'below'
  if (weeklySets < (1 - TARGET_SLACK) * band.target - SLACK) return 'low'
  return weeklySets > (1 + TARGET_SLACK) * band.target + SLACK ? 'high' : 'on_target'
}

/** Sets of a group per 7 days; `effective` under a school with a session curve. */
export interface WeekSets {
  readonly direct: number
  readonly counted: number
  readonly effective?: number
}

/** The sets that a ceiling is compared with: all that count in build, direct ones else (`overCeiling`). */
export const setsUnderCeiling = ({ direct, counted }: WeekSets, mode: Mode): number =>
  mode === 'build' ? counted : direct

/**
 * Sets over a ceiling, 0 or more.
 *
 * Edge:   outside build a ceiling limits direct sets only, since what is indirect is the price of the compounds and of
 *         what is built up. So a muscle that is only fed along is never over, and no direct set is a step.
 * Source: docs/methods.md#bands.
 */
export function overCeiling(week: WeekSets, band: Band, mode: Mode): number {
  return Math.max(0, setsUnderCeiling(week, mode) - band.ceiling)
}

/** Where a group stands; over its ceiling only by sets that count against it (`overCeiling`), else `high`. */
export function groupPosition(week: WeekSets, band: Band, mode: Mode): BandPosition {
  const position = bandPosition(week.counted, band, week.effective)
  return position === 'above' && overCeiling(week, band, mode) <= SLACK ? 'high' : position
}

/** Sets outside the band: negative under the floor, positive over the ceiling, 0 inside. */
export function setsOutsideBand(week: WeekSets, band: Band, mode: Mode): number {
  const over = overCeiling(week, band, mode)
  if (over > SLACK) return over
  const { effective = week.counted } = week
  return effective < band.floor - SLACK ? effective - band.floor : 0
}

/** Share of the target that should come from direct sets, by mode; groups not named need none. Source: docs/methods.md#direct-share. */
const DIRECT_SHARE: Readonly<Record<Mode, Readonly<Partial<Record<Group, number>>>>> = {
  build: { biceps: 0.4, triceps: 0.4, elbow_flexors_other: 0.1, delts_side: 0.6, calves: 0.6 },
  keep: { biceps: 0.25, triceps: 0.25 },
  maintain: {},
}

/** Direct sets per 7 days that a group should have at least. */
export function directSetsWanted(group: Group, mode: Mode, band: Band): number {
  return (DIRECT_SHARE[mode][group] ?? 0) * band.target
}

/** Modes of a client with nothing entered: biceps and triceps build, the rest keep. */
export const DEFAULT_MODES: Readonly<Record<Group, Mode>> = recordOf(GROUPS, group =>
  group === 'biceps' || group === 'triceps' ? 'build' : 'keep',
)
