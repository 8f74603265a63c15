import { failure, keysOf, type Result, success } from '../../base'
import { kilogramsOf } from '../../plan/estimate'

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

const CM_PER_INCH = 2.54
/** Units that may be typed behind a value, and what they are in the unit of the kind. */
const TYPED_UNITS: Readonly<Record<MeasurementRow['unit'], Readonly<Record<string, number>>>> = {
  cm: { cm: 1, mm: 0.1, in: CM_PER_INCH, inch: CM_PER_INCH, '"': CM_PER_INCH, '″': CM_PER_INCH },
  kg: {
    kg: 1,
    lb: kilogramsOf({ amount: 1, unit: 'lb' }),
    lbs: kilogramsOf({ amount: 1, unit: 'lb' }),
  },
}

/** A girth can be taken with the muscle pumped; such a one is no measure of growth. */
export const isGirth = (kind: MeasurementKind): boolean => MEASUREMENT_TABLE[kind].unit === 'cm'

/**
 * A value as a hand types it: `36,5`, `36.5 cm`, `14.4 in`, `181 lb`.
 *
 * Units:  those of the kind, to a tenth.
 * Errors: the text, where it is no number or its unit is none of the kind's.
 */
export function readMeasurement(text: string, kind: MeasurementKind): Result<number, string> {
  const [, digits, unit = ''] = /^\s*(\d+(?:[.,]\d+)?)\s*([a-z"″]*)\s*$/i.exec(text) ?? []
  const factor = unit === '' ? 1 : TYPED_UNITS[MEASUREMENT_TABLE[kind].unit][unit.toLowerCase()]
  if (digits === undefined || factor === undefined) return failure(text.trim())
  return success(Math.round(Number(digits.replace(',', '.')) * factor * 10) / 10)
}

/** What is wrong with a value, to follow the name of its field; undefined where nothing is. Units: those of the kind. */
export function measurementProblem(kind: MeasurementKind, value: number): string | undefined {
  const { unit, least, most } = MEASUREMENT_TABLE[kind]
  const isPossible = value >= least && value <= most
  return isPossible ? undefined : `must be between ${least} and ${most} ${unit}`
}
