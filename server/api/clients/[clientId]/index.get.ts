import { ClientParams, ClientView } from '#shared/contracts/client'
import { client } from '../../../services/clients'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: ClientView,
  handle: ({ coach, params }) => client(coach, params.clientId),
})
