export { effortRamp, LEAST_RIR, RAMP_KINDS, setRamp, spreadSets } from './ramp'
export type { RampKind } from './ramp'
export { nextLoadPlan, shareOfLoad, steppedLoad, unusualJump } from './loadRules'
export type { DoneSet, LoadPlan, LoadQuestion } from './loadRules'
export { leastDose, setsToRemove, specialisation } from './specialise'
export type { ProposedCut, Trade } from './specialise'
export {
  DELOAD,
  deloadBand,
  deloadScheme,
  withLeadRir,
  withRepShift,
  withSetCount,
} from './passContent'
export { blockAsTold, expandedAfter, expandedBlock, issuedBlock } from './expand'
export type { BlockPass, BlockSession, ExpandedBlock, SentMark, SentSession } from './expand'
export { blockVerdict } from './judge'
export type { BlockVerdict, DatedArrival, PassVerdict } from './judge'
export { blockConcerns, weeksBeforeDeload } from './concerns'
export type { BlockConcern } from './concerns'
export { returnExceptions } from './weeksTrained'
export { passesFor, proposedDeloads, usualBlock, usualEnd } from './usualBlock'
export { nextBlock } from './nextBlock'
export type { NextBlockTerms } from './nextBlock'
export { heaviestFor, loadRuleOf } from './exerciseRules'
export { datedSession } from './datedSession'
export type { DatedSession } from './datedSession'
export { setsWithoutPlace } from './setsOverBlock'
export type { SetObstacle, Unplaced } from './setsOverBlock'
export { MOVE_EFFECTS, moveEffects } from './moveEffects'
export type { MoveEffect } from './moveEffects'
