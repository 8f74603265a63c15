export {
  MEASUREMENT_KINDS,
  MEASUREMENT_TABLE,
  isGirth,
  measurementProblem,
  readMeasurement,
} from './measurements'
export type { MeasurementKind } from './measurements'
