import { METHODS } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'

export const USUAL_DAYS: readonly number[] = [1, 2, 4, 5]
export const USUAL_MINUTES = 60
export const USUAL_START = '17:30'

/** What a form for a new client begins with. */
export const NEW_PROFILE: Omit<Profile, 'trainingAgeMonths'> = {
  name: '',
  about: '',
  units: 'kg',
  goal: '',
  weakPoints: '',
  method: METHODS[0]?.id ?? '',
  modes: {},
  equipment: [],
  gear: {},
  sensitiveJoints: [],
  jointNotes: [],
  slowedBy: [],
  sideLoads: [],
  hasSafeties: false,
  permits: [],
  scope: 'whole_body',
  avoid: [],
  exerciseRules: [],
  keep: [],
  days: USUAL_DAYS.map(weekday => ({ weekday, minutes: USUAL_MINUTES, start: USUAL_START })),
  screening: { answers: {}, clearance: null },
}
