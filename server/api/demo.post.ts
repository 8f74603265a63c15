import { success } from '#core/base'
import { SignedInCoach } from '#shared/contracts/session'
import { enterDemo } from '../services/demo'
import { defineOpenRoute } from '../utils/defineRoute'
import { addressOf } from '../utils/address'
import { keepSignIn } from '../utils/signInCookie'
import { todayOf } from '../utils/today'

export default defineOpenRoute({
  answer: SignedInCoach,
  handle: async ({ event }) => {
    const result = await enterDemo(addressOf(event), todayOf(event))
    return result.ok ? success(await keepSignIn(event, result.value)) : result
  },
})
