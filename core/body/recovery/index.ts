export {
  endRir,
  extensionFactor,
  impulsesOf,
  partOfASet,
  proximityFactor,
  setImpulse,
} from './impulse'
export type { ImpulseOptions } from './impulse'
export {
  cyclicBefore,
  cyclicLeftovers,
  decayMatrix,
  hoursToReady,
  LASTING,
  READY_PERCENT,
  readinessPercent,
  RECOVERY,
  tauHours,
  tiredShare,
} from './decay'
export type { Dose } from './decay'
export {
  fatigueSources,
  readinessState,
  rotationRecovery,
  sessionLoads,
  threadState,
} from './rotationRecovery'
export type {
  Arrival,
  ExposureRole,
  ReadinessState,
  RotationRecovery,
  SessionLoad,
  ThreadState,
} from './rotationRecovery'
export { ownPace, paceEvidence, pacesTogether, PERFORMANCE_LOSS } from './ownPace'
export type { OwnPace, PaceEvidence, PaceExposure } from './ownPace'
