export { bothWays, partsOf } from './bothWays'
export type { BothWays, Seeds } from './bothWays'
export { chance } from './chance'
export type { Chance } from './chance'
export { rehearsalData } from './rehearsalData'
export type { RehearsalData, RehearsedSession, RehearsedSlot } from './rehearsalData'
export {
  gainShare,
  growthBy,
  hiddenClient,
  REHEARSED_WORLDS,
  saidRir,
  saysRecovered,
  SIMULATED,
} from './hidden'
export type { RehearsedWorld } from './hidden'
export type { Policy } from './policy'
export { rehearsedRun } from './run'
export type { RehearsedOutcome, RehearsedSet, Run, RunTerms } from './run'
export { practiceLog } from './practiceLog'
export type { PracticeSession } from './practiceLog'
export { rehearsalSpread } from './spread'
export type { RehearsalSpread, Spread } from './spread'
