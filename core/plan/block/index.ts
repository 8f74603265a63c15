export {
  ALTERNATION_MODES,
  EVENT_EFFECTS,
  exceptionOf,
  heldIn,
  isHeldMode,
  isHeldReps,
  isHeldSets,
  modesIn,
  withChangeEnded,
  withHeldChange,
  MOST_PASSES,
  withException,
  withoutException,
  withoutExceptions,
  WAY_KINDS,
  withPart,
} from './blockPlan'
export type {
  Alternation,
  BlockEvent,
  BlockException,
  BlockPlan,
  GroupRamp,
  HeldChange,
  HeldMode,
  HeldReps,
  HeldSets,
  Trial,
  Way,
} from './blockPlan'
export { MOST_TRIALS, onTrialUntil, TRIAL_WEEKS, trialEnd, withoutTrial, withTrial } from './trial'
export { findSlot, MAX_GROUPINGS, ONE_OFF_REASONS, PLAN_SCHEMA, factsInBlock } from './planDocument'
export type { Draft, MadeFrom, OneOff, PlanDocument, Variant, Weighed } from './planDocument'
export { datesOfDay, sessionOn, withOneOff } from './oneOffs'
export { blockOn, blockState, cutBefore, earliestAfter, overlapOf, weeksUntil } from './line'
export type { BlockState } from './line'
export { datedPlace, placesFrom } from './datedPlace'
export type { DatedPlace, PlanPlace } from './datedPlace'
export { passDates, passOn, planEnd } from './passDates'
export { applyEdit, applyEdits, groupingWith } from './edit'
export { copiedSession } from './editDays'
export type { EditProblem, GroupingChange, PlanEdit } from './planEdit'
export { inMethod, repsIn, restIn } from './inMethod'
export { usualScheme } from './newScheme'
export { CARRIED_PARTS, carriedPlan } from './carried'
export type { CarriedBlock, CarriedPart, CarriedPlan } from './carried'
export { CHOICE_LETTERS, slotTaken, turnAt, turnsIn, withTurn } from './turns'
export type { ChoiceLetter, Turns } from './turns'
export { choicesForSlot } from './choicesForSlot'
export { starterPlan } from './starter'
export { isTraining, onClientDays, overClientWeek } from './onClientDays'
export type { DaysOfClient } from './onClientDays'
export { exerciseChoices, firstChoice, matchesChoice } from './exerciseChoice'
export type { ExerciseChoice } from './exerciseChoice'
export { planDifference } from './planDifference'
export type { PlanDifference, SetDifference } from './planDifference'
export { blockBefore, sinceLast } from './sinceLast'
export type { BlockBefore, SinceLast } from './sinceLast'
export { exercisesUsed, unknownExercises } from './exercisesUsed'
export { armPlacementFit, daysInOrder, sessionInOrder } from './armOrder'
export {
  fittedSets,
  ROTATION_TEMPLATES,
  TEMPLATE_SETS,
  templateDays,
  templatesFor,
  usualSets,
} from './templates'
export type { RotationTemplate } from './templates'
export { mergedPlans } from './mergePlans'
export type { MergeOutcome } from './mergePlans'
