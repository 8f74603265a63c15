export { withAdjustment } from './applied'
export { doneSession } from './doneSession'
export {
  adjustmentKey,
  adjustments,
  DECIDE,
  DECISION_ROWS,
  DELOAD_SIGNS,
  ownDecision,
} from './decide'
export type { Adjustment, Change, DecisionRow, DeloadSign, GroupEvidence, OwnFacts } from './decide'
export { blockCourse } from './course'
export type { CourseArrival, CourseRow } from './course'
export { passReview } from './passReview'
export type { ExerciseRow, MuscleRow, PassReview, ReviewQuestion, SessionOutcome } from './reviewed'
export type { MeantOtherwise } from './meant'
export { sessionTimes } from './sessionTimes'
export { densities } from './density'
export type { Density } from './density'
