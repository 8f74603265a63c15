export { datedTrend, allTrends, exerciseTrends, muscleTrends } from './dated'
export type { DatedTrend } from './dated'
export { evidenceOf, FLAT } from './evidence'
export type { Evidence } from './evidence'
export { slopeOf } from './slope'
export type { Observed, Slope } from './slope'
export {
  lookedOn,
  lookOn,
  NOTHING_CALLED,
  TREND,
  trendOf,
  UNKNOWN_TREND,
  VERDICTS,
} from './verdict'
export type { Called, Trend, Verdict } from './verdict'
export { trendBand } from './trendBand'
export type { BandPoint } from './trendBand'
