export {
  bodyLoad,
  liftedKg,
  liftsBody,
  brzycki,
  epley,
  estimatedOneRep,
  expectedReps,
  loadForOther,
  loadForReps,
  shareOfOneRep,
} from './oneRep'
export type { Margin, OneRepEstimate } from './oneRep'
export { GEAR_FIELDS, GEAR_TABLE, gearSentence, parsedGear } from './gear'
export type { Gear, GearField, GearLine, GearProblem } from './gear'
export { platesASide, takenApart } from './loadable'
export type { BarLoading, TopLoading } from './loadable'
export { barOf, loadGrid, nextWeight, previousWeight, roundLoad, topOf } from './loadSteps'
export type { LoadGrid } from './loadSteps'
export { amountIn, kilogramsOf, saidAmount } from './units'
export type { Weight } from './units'
export { LOST_PER_SET, reserveCourse } from './reserveCourse'
export type { ReserveCourse } from './reserveCourse'
