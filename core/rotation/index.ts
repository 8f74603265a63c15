export {
  canStayOnWeekdays,
  DAY_ROLES,
  daySetCount,
  daySlots,
  MAX_SESSIONS_PER_DAY,
  placeOn,
  ROTATION_KINDS,
  ROTATION_LENGTH,
} from './rotation'
export type { DayRole, Rotation, RotationDay } from './rotation'
