import { EraseAccountBody } from '#shared/contracts/session'
import { z } from 'zod'
import { eraseAccount } from '../../services/account'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: EraseAccountBody,
  answer: z.object({}),
  handle: async ({ event, coach, body }) => {
    const result = await eraseAccount(coach, body.email)
    if (result.ok) await clearUserSession(event)
    return result
  },
})
