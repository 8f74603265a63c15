export { mayHold, withAdjustment } from './applied'
export type { Taking } from './applied'
export { doneSession } from './doneSession'
export { adjustmentKey, DECISION_ROWS, DELOAD_SIGNS, ownDecision } from './adjustment'
export { adjustments, asInBase, DECIDE, isMeant, sayNotRecovered } from './decide'
export type {
  Adjustment,
  Change,
  ChangedBefore,
  DecisionRow,
  DeloadSign,
  GroupEvidence,
  OwnFacts,
} from './adjustment'
export { OWN } from './ownChanges'
export { cameOf, expectationOf } from './expected'
export type { Came, Expectation, Expected } from './expected'
export { blockCourse } from './course'
export type { CourseArrival, CourseRow } from './course'
export { muscleEvidence, passReview } from './passReview'
export { PLATEAU, plateauLog, plateauOf } from './plateau'
export type { Lever, LeverFact, Plateau, PlateauLog } from './plateau'
export { HABIT, skippedHabits } from './skipped'
export type { Habit, PastSession } from './skipped'
export { triedTrial } from './tried'
export type { Stretch, TriedLog, TriedMuscle, TriedTrial } from './tried'
export { wayCourses } from './wayCourse'
export type { WayCourse } from './wayCourse'
export type { ExerciseRow, MuscleRow, PassReview, ReviewQuestion, SessionOutcome } from './reviewed'
export type { MeantOtherwise } from './meant'
export { sessionTimes } from './sessionTimes'
export { densities } from './density'
export type { Density } from './density'
