export {
  hasWork,
  isAhead,
  isLeftOut,
  mayBeClosed,
  SESSION_STATES,
  sessionState,
} from './sessionState'
export type { SessionFacts, SessionState } from './sessionState'
export { BODY_SIDES, LAPSE_WORDS, SET_LAPSES } from './loggedSet'
export type { BodySide, LoggedSet, SetLapse } from './loggedSet'
export { exposuresByExercise } from './exposures'
export type { Exposure } from './exposures'
export { trendValue } from './trendPoint'
export type { TrendPoint } from './trendPoint'
export { setUpChanges, trendPointsOf } from './trendLines'
export type { SetUpChange } from './trendLines'
export { exerciseTrend, pooledTrend, robustLine, TREND, VERDICTS } from './trend'
export { LEFT_OUT, splitByUse } from './excludedEstimates'
export type {
  DatedValue,
  ExcludedEstimate,
  ExclusionReason,
  ExclusionFacts,
} from './excludedEstimates'
export type { Trend, Verdict } from './trend'
export { trendBand } from './trendBand'
export type { BandPoint } from './trendBand'
export { median, normalShare } from './statistics'
export { farFromOwn } from './farFromOwn'
export { recentBest } from './recentBest'
