export { isOverLimit, SEAM_LIMITS, season, seamConcerns } from './season'
export type { Seam, SeamConcern, Season, SeasonBlock, SeasonLine, SeasonPass } from './season'
