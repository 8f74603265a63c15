import { NewPasswordBody } from '#shared/contracts/session'
import { z } from 'zod'
import { setNewPassword } from '../services/passwordReset'
import { addressOf } from '../utils/address'
import { defineOpenRoute } from '../utils/defineRoute'

export default defineOpenRoute({
  body: NewPasswordBody,
  answer: z.object({}),
  handle: ({ event, body }) => setNewPassword(body, addressOf(event)),
})
