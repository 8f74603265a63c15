export { assert, InvariantError, unreachable } from './invariant'
export { failure, success } from './result'
export type { Result } from './result'
export { blockId, clientId, coachId, exerciseId, groupingId, sessionId, slotId } from './id'
export type {
  BlockId,
  ClientId,
  CoachId,
  ExerciseId,
  GroupingId,
  Id,
  SessionId,
  SlotId,
} from './id'
export { addDays, daysBetween, isoWeekday, isPlainDate, mondayFrom, plainDate } from './plainDate'
export type { PlainDate } from './plainDate'
export { assuming, exactly, plus, sumOf, times, ZERO } from './figure'
export type { Assumption, Figure } from './figure'
export { DAYS_PER_WEEK, HOURS_PER_DAY, MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from './time'
export { roundHalfUp } from './round'
export { remembered } from './memo'
export { seededRandom } from './seededRandom'
export { groupedBy } from './groupedBy'
export { entriesOf, itemAt, keysOf, mapNonEmpty, nonEmpty, recordOf } from './shapes'
export type { NonEmpty } from './shapes'
export { instantSeconds } from './instant'
export { mergedFields } from './mergedFields'
export type { MergedFields } from './mergedFields'
