import { SignUpAnswer, SignUpBody } from '#shared/contracts/session'
import { signUp } from '../services/account'
import { defineOpenRoute } from '../utils/defineRoute'
import { addressOf } from '../utils/address'

export default defineOpenRoute({
  body: SignUpBody,
  answer: SignUpAnswer,
  handle: ({ event, body }) => signUp({ ...body, from: addressOf(event) }),
})
