export type {
  LastTime,
  LoadScale,
  PartLoad,
  SheetExercise,
  SheetGroup,
  SheetMovement,
  SheetPart,
  SheetSession,
  SheetSet,
  SheetSwap,
  SheetTurn,
  SheetWay,
} from './sheet'
export { placeKey, recoverySaid } from './entry'
export type { DonePart, LogEntry, LogWord, SetPlace, SetWord } from './entry'
export {
  lastDoneTurn,
  movementOf,
  nextTurn,
  sessionStanding,
  turnsOf,
  wayOf,
  wentOn,
} from './standing'
export type { SessionStanding, Standing, StandingTurn } from './standing'
export { FEELINGS, FELT_PLACES, MOST_FEELING } from './feelings'
export type { Feeling, Feelings, FeltPlace, MoreSaid } from './feelings'
export { feltElsewhere, feltToAsk, moreSaidIn, saidOfSession } from './felt'
export type { FeltOn } from './felt'
export { isTypedSet, readTypedSet } from './typedSet'
export type { TypedPart } from './typedSet'
export { prefillOf, repsToStopAt, steppedLoad } from './prefill'
export { minutesSoFar } from './duration'
export { dropsAhead, loadingWords } from './loading'
export type { Prefill } from './prefill'
export { LOG_LIMITS, farSentence, numberSentence, parsedNumber } from './numbers'
export type { LogField, NumberProblem } from './numbers'
export {
  ALARM_SIGNS,
  EMERGENCY_WORDS,
  PAIN_PLACES,
  PAIN_WORDS,
  painLimit,
  painsSaid,
  worseLevel,
} from './pain'
export type { Levels, PainLimit, PainPlace, SaidPain } from './pain'
