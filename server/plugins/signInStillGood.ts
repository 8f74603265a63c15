import { coachId } from '#core/base'
import { coachSignedIn } from '../services/signIn'

/** A sealed cookie outlives a sign-in that was ended elsewhere; pages are told the truth, or they would send each other in circles. */
export default defineNitroPlugin(() => {
  sessionHooks.hook('fetch', async (session, event) => {
    const kept = session.secure
    const isGood =
      kept !== undefined &&
      (await coachSignedIn({ coachId: coachId(kept.coachId), id: kept.signInId })) !== undefined
    if (isGood) return
    delete session.user
    await clearUserSession(event)
  })
})
