import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { MarksBody } from '#shared/contracts/roster'
import { markClient } from '../../../services/archive'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: MarksBody,
  answer: Done,
  doing: 'marks',
  handle: ({ coach, params, body }) => markClient(coach, params.clientId, body),
})
