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
export { exposuresByExercise, movementKey, setsByExercise } from './exposures'
export type { Exposure } from './exposures'
export { ASSUMED_RIR, exposureValue, setEstimate, trendValue } from './trendPoint'
export type { ExposureValue, TrendPoint } from './trendPoint'
export { placedLines, setUpChanges, trendPointsOf } from './trendLines'
export type { SetUpChange } from './trendLines'
export { robustLine } from './robustLine'
export { dayValue, MOST_AIM, placeOffsets, setReading, setValues, sharedVariance } from './dayValue'
export type { SetValue } from './dayValue'
export { LEFT_OUT, splitByUse } from './excludedEstimates'
export type {
  DatedValue,
  ExcludedEstimate,
  ExclusionReason,
  ExclusionFacts,
} from './excludedEstimates'
export { median, normalShare } from './statistics'
export { farFromOwn } from './farFromOwn'
export { recentBest } from './recentBest'
