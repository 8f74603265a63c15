export {
  canStayOnWeekdays,
  DAY_ROLES,
  dayName,
  daySetCount,
  daySlots,
  MAX_SESSIONS_PER_DAY,
  placeOn,
  ROLE_NAMES,
  ROTATION_KINDS,
  SECOND_SESSION_HOURS,
  ROTATION_LENGTH,
} from './rotation'
export type { DayRole, Rotation, RotationDay } from './rotation'
