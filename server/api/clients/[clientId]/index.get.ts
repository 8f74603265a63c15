import { ClientParams, ClientView } from '#shared/contracts/client'
import { client } from '../../../services/clients'
import { blockAsked } from '../../../utils/blockAsked'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: ClientView,
  handle: ({ coach, params, event }) =>
    client(coach, params.clientId, { block: blockAsked(event), today: todayOf(event) }),
})
