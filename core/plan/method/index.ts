export { COUNTING_SCHOOL_IDS, COUNTING_SCHOOLS, worthOfCredit } from './school'
export type { CountingSchool, CountingSchoolId } from './school'
export { LONG_SET_KINDS } from '../scheme'
export type { LongSetKind } from '../scheme'
export { USUAL_WATCH, LOAD_PROGRESSIONS, ORDER_RULES } from './method'
export type { LoadProgression, Method, OrderRule } from './method'
export {
  COMPOUNDS_THEN_ARMS,
  DENSE_AND_SHORT,
  FEW_HARD_SETS,
  jointSparing,
  methodById,
  METHODS,
  OWN_ARM_DAY,
  STEADY_MIDDLE,
} from './presets'
export type { SideLoad } from './sideLoad'
export {
  BAND_POSITIONS,
  DEFAULT_MODES,
  bandFor,
  bandPosition,
  directSetsWanted,
  groupPosition,
  overCeiling,
  MODES,
  setsOutsideBand,
  setsUnderCeiling,
  TRAINING_AGES,
  trainingAge,
} from './band'
export type { Band, BandPosition, Mode, TrainingAge } from './band'
export {
  bandOf,
  contextWith,
  defaultContext,
  eatsLess,
  hindrancesOf,
  HINDRANCES,
  PAIN_LEVELS,
  PLAN_SCOPES,
  intentFor,
  leastFrequency,
  modeOf,
  ratioWishOf,
  sessionMaxOf,
  asEstimated,
} from './context'
export type {
  AvailableDay,
  CarriedSession,
  ClientFacts,
  Hindrance,
  JointSetting,
  PaceRecord,
  LastPain,
  PainLevel,
  PlanScope,
  PlanContext,
} from './context'
export { mostGapIn, PHASE_BOUNDS, PHASE_KINDS } from './phase'
export type { Phase, PhaseKind } from './phase'
export { effectiveSets } from './sessionCurve'
export type { CurveAge } from './sessionCurve'
export { METHOD_SETTINGS, settingOf, withSetting } from './settings'
export type { MethodSetting } from './settingKinds'
export { ownBand } from './ownBand'
export { insteadOf, mostKgOf, notPlanned, SIDE_ORDERS, sidesRule, withSides } from './exerciseRules'
export type { ExerciseRule, SideRule } from './exerciseRules'
export type { ClientTimes } from './clientTimes'
