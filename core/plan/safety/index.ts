export { PERMIT_TABLE, PERMITS } from './permits'
export type { Permit } from './permits'
export {
  isMinorBy,
  NOT_MEDICAL_ADVICE,
  REFERRAL,
  SCREENING_ANSWERS,
  SCREENING_IDS,
  SCREENING_QUESTIONS,
  screeningState,
} from './screening'
export type {
  Clearance,
  Screening,
  ScreeningAnswer,
  ScreeningAnswers,
  ScreeningId,
} from './screening'
