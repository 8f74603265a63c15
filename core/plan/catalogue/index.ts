export { ARM_GROUPS, BUNDLES, GROUPS, GROUP_MUSCLES, LARGE_GROUPS, MUSCLES } from './muscles'
export type { BundleId, Group, Muscle } from './muscles'
export { canPin } from './underBar'
export { CAUTIONS, EQUIPMENT, isFreeOverhead, isOverhead, PATTERNS } from './exercise'
export { ELBOW_JOINTS, hasSides, JOINT_TABLE, JOINTS } from './joints'
export type { Joint } from './joints'
export type {
  CautionId,
  Credits,
  Equipment,
  Exercise,
  HeadShares,
  Intent,
  Pattern,
} from './exercise'
export {
  BUILT_IN_CATALOGUE,
  directGroups,
  indirectGroups,
  EXERCISES,
  headShare,
  isPossibleWith,
  missingPieces,
  requireExercise,
  requireIntent,
} from './catalogue'
export type { Catalogue, CatalogueId } from './catalogue'
export { likeness, rankedSubstitutes } from './substitutes'
export type { Substitute, SubstituteLimits } from './substitutes'
export { EQUIPMENT_PRESETS } from './equipmentPresets'
export { catalogueWith, creditKey, creditsFor, evenShares, OWN_EXERCISE_PREFIX } from './library'
export type { CreditChanges, Library } from './library'
export { otherForms } from './exercises/variants'
export { isNamedIn, searchExercises } from './search'
export type { ExerciseSearch } from './search'
export { CUE_KEYS, cueLines } from './cues'
export { easierFormOf, monthsFor } from './levels'
export { stimulusOf } from './stimulus'
export type { Footing, Resistance, Stimulus } from './stimulus'
export { poseOf } from './poses'
export type { Angles, Pose, Posture } from './poses'
