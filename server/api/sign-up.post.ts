import { success } from '#core/base'
import { SignedInCoach, SignUpBody } from '#shared/contracts/session'
import { signUp } from '../services/account'
import { defineOpenRoute } from '../utils/defineRoute'
import { addressOf } from '../utils/address'
import { keepSignIn } from '../utils/signInCookie'

export default defineOpenRoute({
  body: SignUpBody,
  answer: SignedInCoach,
  handle: async ({ event, body }) => {
    const result = await signUp({ ...body, from: addressOf(event) })
    return result.ok ? success(await keepSignIn(event, result.value)) : result
  },
})
