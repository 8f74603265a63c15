import { z } from 'zod'
import { signOutEverywhere } from '../../services/account'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: z.object({}),
  handle: async ({ event, coach }) => {
    const result = await signOutEverywhere(coach)
    await clearUserSession(event)
    return result
  },
})
