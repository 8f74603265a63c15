import { success } from '#core/base'
import { SignedInCoach, SignInBody } from '#shared/contracts/session'
import { signIn } from '../services/signIn'
import { defineOpenRoute } from '../utils/defineRoute'
import { addressOf } from '../utils/address'
import { keepSignIn } from '../utils/signInCookie'

export default defineOpenRoute({
  body: SignInBody,
  answer: SignedInCoach,
  handle: async ({ event, body }) => {
    const result = await signIn({ ...body, from: addressOf(event) })
    return result.ok ? success(await keepSignIn(event, result.value)) : result
  },
})
