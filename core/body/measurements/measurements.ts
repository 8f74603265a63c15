import { keysOf } from '../../base'

interface MeasurementRow {
  readonly name: string
  readonly unit: 'kg' | 'cm'
  /** What can be a human being's: anything outside is a slip. In the row's unit. */
  readonly least: number
  readonly most: number
}

/** Everything that is measured of a client, in the order of lists: the only place that names a measurement. */
// prettier-ignore
export const MEASUREMENT_TABLE = {
  body_weight: { name: 'Body weight', unit: 'kg', least: 20, most: 400 },
  upper_arm_left: { name: 'Upper arm, left', unit: 'cm', least: 10, most: 100 },
  upper_arm_right: { name: 'Upper arm, right', unit: 'cm', least: 10, most: 100 },
  forearm_left: { name: 'Forearm, left', unit: 'cm', least: 10, most: 80 },
  forearm_right: { name: 'Forearm, right', unit: 'cm', least: 10, most: 80 },
  chest: { name: 'Chest', unit: 'cm', least: 40, most: 250 },
  waist: { name: 'Waist', unit: 'cm', least: 30, most: 300 },
  thigh: { name: 'Thigh', unit: 'cm', least: 20, most: 150 },
} as const satisfies Readonly<Record<string, MeasurementRow>>

export type MeasurementKind = keyof typeof MEASUREMENT_TABLE

export const MEASUREMENT_KINDS = keysOf(MEASUREMENT_TABLE)

/** What is wrong with a value, to follow the name of its field; undefined where nothing is. Units: those of the kind. */
export function measurementProblem(kind: MeasurementKind, value: number): string | undefined {
  const { unit, least, most } = MEASUREMENT_TABLE[kind]
  const isPossible = value >= least && value <= most
  return isPossible ? undefined : `must be between ${least} and ${most} ${unit}`
}
