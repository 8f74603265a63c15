import type { ClientFacts } from '#core/plan/method'
import { isMinorBy, screeningState } from '#core/plan/safety'
import type { Profile } from './profile'

/** What of a profile bears on the numbers; bands, credits, pain and pace that were set elsewhere stay. */
export function factsOf(profile: Profile, before?: ClientFacts): ClientFacts {
  return {
    ...ownFigures(before),
    avoid: profile.avoid,
    keep: profile.keep,
    exerciseRules: profile.exerciseRules,
    trainingAgeMonths: profile.trainingAgeMonths,
    modes: profile.modes,
    equipment: profile.equipment,
    gear: profile.gear,
    joints: Object.fromEntries(profile.sensitiveJoints.map(joint => [joint, 'sensitive' as const])),
    slowedBy: profile.slowedBy,
    ...provokedBy(profile),
    sideLoads: profile.sideLoads,
    hasSafeties: profile.hasSafeties,
    permits: profile.permits,
    scope: profile.scope,
    screening: screeningState(profile.screening),
    isMinor: isMinorBy(profile.screening),
    ...(profile.days.length > 0 && { days: profile.days }),
  }
}

/** What the notes on joints warn of; left out where nothing is noted. */
function provokedBy({ jointNotes }: Profile): Pick<ClientFacts, 'provokedBy'> {
  const noted = jointNotes.map(note => note.provokedBy).filter(words => words.trim() !== '')
  return noted.length > 0 ? { provokedBy: noted } : {}
}

/** What is set elsewhere than in the profile. */
function ownFigures(
  before: ClientFacts | undefined,
): Pick<ClientFacts, 'bands' | 'credits'> & Partial<ClientFacts> {
  if (!before) return { bands: {}, credits: {} }
  const {
    bands,
    credits,
    recoveryPace,
    paceRecords,
    ratioWish,
    frequencyMin,
    sessionMax,
    headFloors,
    jointCeilings,
  } = before
  return {
    bands,
    credits,
    ...(recoveryPace && { recoveryPace }),
    ...(paceRecords && { paceRecords }),
    ...(ratioWish !== undefined && { ratioWish }),
    ...(frequencyMin && { frequencyMin }),
    ...(sessionMax && { sessionMax }),
    ...(headFloors && { headFloors }),
    ...(jointCeilings && { jointCeilings }),
  }
}
