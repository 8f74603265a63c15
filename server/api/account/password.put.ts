import { ChangePasswordBody } from '#shared/contracts/session'
import { z } from 'zod'
import { changePassword } from '../../services/account'
import { defineRoute, signInOf } from '../../utils/defineRoute'

export default defineRoute({
  body: ChangePasswordBody,
  answer: z.object({}),
  handle: async ({ event, coach, body }) =>
    changePassword(coach, { ...body, keep: (await signInOf(event))?.id ?? '' }),
})
