export {
  FORMS,
  GRIP_WIDTHS,
  GRIPS,
  HOLD_POSITIONS,
  LOAD_BASES,
  USUAL_BASIS,
  LOCK_OUTS,
  TEMPO_WORDS,
  WEIGHT_UNITS,
} from './stage'
export type {
  Effort,
  Form,
  Grip,
  GripWidth,
  HoldStage,
  Load,
  LoadBasis,
  LockOut,
  RangeOfMotion,
  Reps,
  Rest,
  RestStage,
  Span,
  Stage,
  Tempo,
  WeightUnit,
  WorkStage,
} from './stage'
export { LONG_SET_KINDS, TECHNIQUES } from './techniques'
export type { LongSetKind, Technique } from './techniques'
export {
  allSets,
  LOAD_RULES,
  mayNotFall,
  MAX_SETS_PER_EXERCISE,
  normalScheme,
  isAlike,
  orderedText,
  plannedSets,
  SET_PROTOCOLS,
  SET_ROLES,
  SIDE_ORDERS,
  splitSets,
  withRunsAdded,
  withSetsAdded,
} from './setScheme'
export type {
  LoadRule,
  RepAim,
  SetProtocol,
  SetRole,
  SetRun,
  SetScheme,
  SideOrder,
} from './setScheme'
export {
  isHeldLong,
  isHoldAlone,
  nominalReps,
  plainValue,
  repsFor,
  RESTRICTED_STAGE_REPS,
  workStages,
} from './plainValue'
export type { PlainValue, SpecialSets } from './plainValue'
export { leadReps, leadRir, lowestRir } from './effort'
export {
  classedStages,
  isExtended,
  isLighter,
  restSeconds,
  STAGE_CLASSES,
  statedRir,
} from './stageClass'
export type { ClassedStage, StageClass } from './stageClass'
export { sharedControls, withControl } from './controls'
export type { SchemeControl, SchemeControls, SharedControls } from './controls'
export {
  isSetUpValue,
  parsedSetUp,
  SET_UP,
  SET_UP_FIELDS,
  setUpChoices,
  setUpStress,
  setUpFieldsOf,
  setUpText,
} from './setUp'
export type { SetUp, SetUpField } from './setUp'
export { doneAs, forAnotherClient, forAnotherExercise, withoutWeights } from './forAnother'
export type { DoneAs } from './forAnother'
