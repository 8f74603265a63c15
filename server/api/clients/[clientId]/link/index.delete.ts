import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { withdrawLink } from '../../../../services/sheetLinks'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: Done,
  handle: ({ coach, params }) => withdrawLink(coach, params.clientId),
})
