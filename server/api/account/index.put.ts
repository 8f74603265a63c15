import { success } from '#core/base'
import { AccountBody, SignedInCoach } from '#shared/contracts/session'
import { saveAccount } from '../../services/account'
import { defineRoute, signInOf } from '../../utils/defineRoute'
import { keepSignIn } from '../../utils/signInCookie'

export default defineRoute({
  body: AccountBody,
  answer: SignedInCoach,
  handle: async ({ event, coach, body }) => {
    const result = await saveAccount(coach, body)
    const signIn = await signInOf(event)
    // The cookie tells pages how to write: it has to say the same.
    return result.ok && signIn
      ? success(await keepSignIn(event, { coach: result.value, signIn }))
      : result
  },
})
