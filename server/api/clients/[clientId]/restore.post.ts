import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { restoreClient } from '../../../services/archive'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: Done,
  doing: 'restored',
  handle: ({ coach, params }) => restoreClient(coach, params.clientId),
})
