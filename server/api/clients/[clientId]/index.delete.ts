import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { EraseBody } from '#shared/contracts/roster'
import { eraseClient } from '../../../services/archive'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: EraseBody,
  answer: Done,
  handle: ({ coach, params, body }) => eraseClient(coach, params.clientId, body.name),
})
