export { MEASUREMENT_KINDS, MEASUREMENT_TABLE, measurementProblem } from './measurements'
export type { MeasurementKind } from './measurements'
