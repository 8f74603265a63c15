export {
  bodyLoad,
  brzycki,
  epley,
  estimatedOneRep,
  expectedReps,
  loadForReps,
  shareOfOneRep,
} from './oneRep'
export type { Margin, OneRepEstimate } from './oneRep'
export { loadGrid, nextWeight, previousWeight, roundLoad } from './loadSteps'
export type { LoadGrid } from './loadSteps'
export { amountIn, kilogramsOf, saidAmount } from './units'
export type { Weight } from './units'
