import type { ClientFacts } from '#core/method'
import { isMinorBy, screeningState } from '#core/safety'
import type { Profile } from './profile'

/** What of a profile bears on the numbers; bands, credits, pain and pace that were set elsewhere stay. */
export function factsOf(profile: Profile, before?: ClientFacts): ClientFacts {
  return {
    trainingAgeMonths: profile.trainingAgeMonths, modes: profile.modes, equipment: profile.equipment,
    bands: before?.bands ?? {}, credits: before?.credits ?? {},
    joints: Object.fromEntries(profile.sensitiveJoints.map(joint => [joint, 'sensitive' as const])),
    ...(before?.pain && { pain: before.pain }), ...(before?.recoveryPace && { recoveryPace: before.recoveryPace }),
    slowedBy: profile.slowedBy, sideLoads: profile.sideLoads, hasSafeties: profile.hasSafeties,
    screening: screeningState(profile.screening), isMinor: isMinorBy(profile.screening),
  }
}
