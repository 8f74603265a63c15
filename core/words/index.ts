export { capitalised, listed } from './text'
export { COVERAGE_STATES, coverageRowName, turnName, wholeRowName } from './turns'
export { FIRST_WORDS, PHASE_NAMES, phaseFollows, phaseName, phaseToGo } from './phases'
export { fitChangeWords, fitReasons, templateChangeWords } from './templates'
export { heldGrowthWords, PAIN_ASKS, painNotices } from './pain'
export type { PainNotice } from './pain'
export { daySentence, formatWholeDay, readDay } from './readDay'
export type { DayProblem } from './readDay'
export { newStimulusWords, stimulusWords } from './stimulus'
export { FEELINGS, FELT_PLACES } from '../follow/sheet'
export { FEELING_WORDS, FELT_WORDS, feltElsewhereWords, moreSaidWords } from './felt'
export { EFFORT, effortWords, leftWords, reserveWords, shortEffort } from './effort'
export { JOINT_NAMES } from './joints'
export { dayName, ROLE_NAMES } from '../plan/rotation'
export { MEASUREMENT_TABLE as MEASUREMENTS } from '../body/measurements'
export {
  formatDecimals,
  formatFigure,
  formatOneDecimal,
  formatSetCount,
  formatSets,
  NBSP,
  wholeReadiness,
  splitOnScreen,
} from './figures'
export {
  BUNDLE_NAMES,
  creditWords,
  EQUIPMENT_NAMES,
  GROUP_NAMES,
  HINDRANCE_NAMES,
  PLAN_SCOPE_NAMES,
  MODE_NAMES,
  MUSCLE_NAMES,
  SESSION_STATE_WORDS,
  POSITION_NAMES,
  SCHOOL_NAMES,
  TRAINING_AGE_NAMES,
} from './names'
export { editProblemSentence, shorthandProblemSentence } from './problems'
export { formatDate, formatDay, monthName, WEEKDAY_NAMES, weekdayName } from './dates'
export { DATE_NAMES } from './dateNames'
export { DATE_LANGUAGES, DATE_ORDERS, DECIMALS, USUAL_WRITING, writeAs, writing } from './writing'
export type { Writing } from './writing'
export { attentionWords } from './attention'
export { goalMeasureWords, goalSentence, throughWords } from './goals'
export { changeDid, type ChangeKind, changePlace, differenceWords, tooLateWords } from './changes'
export { effectWords } from './effects'
export { arrivalWords, threadWords } from './recovery'
export { INTERVAL, PAIN_LEVEL_WORDS, setUpSentence, signed, trendSentence } from './trends'
export type { SaidTrend } from './trends'
export {
  bandMoves,
  daysWords,
  outageWords,
  weekMove,
  whatIfDone,
  withoutStationLines,
  withoutStationWords,
} from './whatIf'
export { mailStateWords, mailSubject, mailText } from './mail'
export { SHOWN_WORDS, shownPlan, shownReport } from './shown'
export type { ShownTable } from './shown'
export { notSafeWords, outcomeWords, queueSumWords, queueWhy } from './queue'
export type { QueueWhy } from './queue'
export { dayWord, needWords, nextWords, unreadWords } from './needs'
export {
  cellLabel,
  cellWords,
  pegGroupCount,
  dayWords,
  outsideWords,
  railName,
  weekSentence,
} from './board'
export type { PieceWords } from './board'
export {
  choiceReasonWords,
  DERIVED_RULE_WORDS,
  FINDING_SENTENCES,
  findingLineSentence,
  findingSentence,
  gapWords,
} from './findings'
export { NOT_MEDICAL_ADVICE, REFERRAL } from '../plan/safety'
export { CAUTIONS as CAUTION_WORDS, cueLines } from '../plan/catalogue'
export { METHOD_CHOICES, methodDifferences, SETTING_ACTS, settingWords } from './methods'
export type { MethodChoice, MethodDifference } from './methods'
export {
  formatClock,
  GROUPING_NAMES,
  longerWords,
  offerWords,
  pairingSentence,
  PLACEMENT_NAMES,
  readinessWords,
  sessionLines,
  assumedWords,
  tooEarlyWords,
  SHORT_WAY_NAMES,
  shortChangeWords,
  shortSentence,
  shortSheetWords,
  slotName,
  SWAP_REASON_NAMES,
  swapChangeWords,
  swapWords,
} from './session'
export {
  loadWords,
  repsWords,
  restWords,
  runWords,
  schemeLines,
  setUpWords,
  stageWords,
  tempoWords,
} from './scheme'
export {
  loadLineWords,
  loadReasonWords,
  loadRowWords,
  nextTimeWords,
  reserveCourseWords,
  shapeLossWords,
  startWords,
} from './loads'
export {
  ALTERNATION_NAMES,
  blockConcernWords,
  unplacedWords,
  EFFECT_NAMES,
  exceptionWords,
  eventEffectLines,
  heldShort,
  heldWords,
  moveEffectWords,
  RAMP_NAMES,
  RULE_NAMES,
  sessionStateWords,
  sinceLastSummary,
  sinceLastWords,
} from './block'
export {
  changeWords,
  concernWords,
  limitWords,
  missWords,
  fewestWords,
  leftOutWords,
  proofWords,
  purchaseWords,
  termsCostWords,
  termsNoteWords,
  termsProblemWords,
  termsWords,
  whyNotLines,
  withheldWords,
  SCOPE_NAMES,
} from './proposals'
export {
  LEVER_NAMES,
  leverStepWords,
  leverWords,
  WAY_NAMES,
  wayCourseWords,
  wayWords,
} from './plateau'
export { habitWords, trialStateWords, trialWords, triedWords } from './tried'
export { shareInWords, strengthInWords } from './report'
export {
  adherenceWords,
  adjustmentReason,
  adjustmentWords,
  cameWords,
  expectationWords,
  CONFIDENCE_WORDS,
  LEFT_OUT_WORDS,
  otherwiseWords,
  paceDifferenceWords,
  paceWords,
  REPLAN_WORDS,
} from './review'
export { ROW_NAMES } from './rowNames'
export { noFixWords } from './noFix'
export { LAPSE_WORDS, SET_LAPSES } from '../body/log'
export { asTaken, clientTimesWords, ownTimeWords } from './times'
export {
  attemptWords,
  bestName,
  doneLine,
  doneSetWords,
  sideGapWords,
  sideRuleWords,
  storyNotes,
} from './story'
export { twiceSeenWords } from './secondMethod'
export { drawnPose, exerciseFigure } from './poseFigure'
export type { Drawn, Figure } from './poseFigure'
export {
  answeredWords,
  eventWords,
  girthWords,
  keptOnEffects,
  keptOnWords,
  seamStopWords,
  softStartEffects,
  softStartWords,
} from './season'
export {
  aheadWords,
  floorPainWords,
  nextSetWords,
  lateWords,
  floorLackWords,
  floorSumWords,
  floorWaitWords,
  remedyLines,
  arrangementWords,
  remedyTitle,
  startMessage,
  startMessageOpening,
} from './floor'
export { firstName } from './firstName'
export { floorNames, floorNotices } from './floorNotices'
export type { FloorNotice } from './floorNotices'
export { houseText, readHouse } from './house'
export type { HouseField, TypedHouse } from './house'
