import { ClientParams } from '#shared/contracts/client'
import { ClientDocument } from '#shared/contracts/clientDocument'
import { exportClient } from '../../../services/clientDocument'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: ClientDocument,
  handle: async ({ coach, params, event }) => {
    setHeader(event, 'content-disposition', 'attachment; filename="tholepin-client.json"')
    return exportClient(
      coach,
      params.clientId,
      getQuery(event).screening === 'with' ? 'with' : 'without',
    )
  },
})
