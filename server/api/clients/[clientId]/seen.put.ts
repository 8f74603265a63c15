import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { SeenBody } from '#shared/contracts/queue'
import { markSeen } from '../../../services/queue'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: SeenBody,
  answer: Done,
  doing: 'seen',
  handle: ({ coach, params, body, event }) =>
    markSeen(coach, params.clientId, body, todayOf(event)),
})
