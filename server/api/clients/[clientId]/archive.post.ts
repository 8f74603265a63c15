import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { archiveClient } from '../../../services/archive'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: Done,
  doing: 'archived',
  handle: ({ coach, params }) => archiveClient(coach, params.clientId),
})
