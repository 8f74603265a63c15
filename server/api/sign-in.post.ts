import { success } from '#core/base'
import { SignedInCoach, SignInBody } from '#shared/contracts/session'
import { signIn } from '../services/signIn'
import { defineOpenRoute } from '../utils/defineRoute'

export default defineOpenRoute({
  body: SignInBody,
  answer: SignedInCoach,
  handle: async ({ event, body }) => {
    const result = await signIn({ ...body, from: event.node.req.socket.remoteAddress ?? 'unknown' })
    if (!result.ok) return result
    const { coach, signIn: kept } = result.value
    const user = { name: coach.name, studio: coach.studio }
    await replaceUserSession(event, { user, secure: { coachId: coach.id, signInId: kept.id } })
    return success(user)
  },
})
