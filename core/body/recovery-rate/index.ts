export { learnedPaces, LEARNING_DAYS } from './learn'
export type { TrainedSession } from './learn'
export { isClear, PACE_STEP, pacesAfter, pacesWith } from './inForce'
export type { PaceDecision, PaceRecords, Paces } from './inForce'
