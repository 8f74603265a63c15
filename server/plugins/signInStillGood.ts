import { coachId } from '#core/base'
import { isAway, whileThere } from '../db/away'
import { coachSignedIn, type SignIn } from '../services/signIn'

/** A page that cannot be drawn for want of the database says so, and does not ask to sign in. */
async function isStillGood(kept: SignIn): Promise<boolean> {
  try {
    return (await whileThere(() => coachSignedIn(kept))) !== undefined
  } catch (error) {
    if (isAway(error))
      throw createError({ statusCode: 503, statusMessage: 'Records not reachable' })
    throw error
  }
}

/** A sealed cookie outlives a sign-in that was ended elsewhere; pages are told the truth, or they would send each other in circles. */
export default defineNitroPlugin(() => {
  sessionHooks.hook('fetch', async (session, event) => {
    const kept = session.secure
    if (kept && (await isStillGood({ coachId: coachId(kept.coachId), id: kept.signInId }))) return
    delete session.user
    await clearUserSession(event)
  })
})
