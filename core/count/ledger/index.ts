export { countedWorkOfDay, workOfSession } from './countedWork'
export type { CountedWork, WeightedPart } from './countedWork'
export {
  groupTarget,
  headTarget,
  highestCredit,
  NO_SETS,
  onceTarget,
  SESSION_CAPS,
  spanLedger,
  sumOfLedgers,
  tallyFor,
  tallyOnce,
  tallyPlus,
  tallyTimes,
} from './tally'
export type { SpanLedger, Tally, Target } from './tally'
export { derivation } from './derivation'
export type { Derivation, DerivedLine, DerivedRule } from './derivation'
export { lengthBiasOf, rangeLength } from './rangeLength'
export type { RangeLength } from './rangeLength'
export { effortFactor, repFactor, stageWorths } from './weightedValue'
export { calendarWeeks, dailySets, rollingWindows } from './dated'
export type { CalendarWeek, DatedBlock } from './dated'
export { coverage, COVERAGE_WISHES, coverageSums } from './coverage'
export type { Coverage, CoverageGap, CoverageSums } from './coverage'
export { per7Days, rollingWeek, spreadOf } from './spread'
export type { Spread } from './spread'
export { rotationLedger } from './rotationLedger'
export type { GroupWeek, RotationLedger } from './rotationLedger'
export { railGroups, railView } from './rail'
export type { Rail, RailCell, RailPiece, RailView } from './rail'
export { armBalance } from './balance'
export type { ArmBalance } from './balance'
export { attentionList, isUnallocated } from './attention'
export type { Attention } from './attention'
export { rotationStrip } from './rotationStrip'
export type { RotationStrip } from './rotationStrip'
export { carriedPieces, movesOf, setsInHand } from './carry'
export { blockLedger } from './blockLedger'
export type { BlockLedger } from './blockLedger'
export { creditEffects } from './creditEffect'
export type { CreditEffect } from './creditEffect'
export { pushPull } from './pushPull'
export type { PushPull } from './pushPull'
