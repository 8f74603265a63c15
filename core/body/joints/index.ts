export { jointCeiling, jointLoads, rotationJoints, setJointLoad } from './jointLoad'
export type { JointLoads, JointWeek } from './jointLoad'
export { jointBaseline, jointRamp } from './ramp'
export type { JointHistory, RampVerdict } from './ramp'
export { painLevel, RETURN_WEEKS, returnAllowance } from './pain'
export type { PainReport } from './pain'
export {
  growthHeldBy,
  isSore,
  isTooHard,
  mayGrow,
  painCeiling,
  soreJoints,
  stressLimits,
} from './painGuard'
export { jointsReturning, painByJoint, painBySide } from './painByJoint'
export type { JointClearance, PlacedPainReport, SideLevels } from './painByJoint'
