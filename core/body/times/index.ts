export { takenGaps } from './taken'
export type { LoggedAt, TakenGap } from './taken'
export { estimatedParts, LEAST_TIMED, learnedTimes } from './learned'
export type { SessionTimes, TimedSession } from './learned'
