import { ClientParams } from '#shared/contracts/client'
import { LinkView } from '#shared/contracts/sheet'
import { linkState } from '../../../../services/sheetLinks'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: LinkView,
  handle: ({ coach, params }) => linkState(coach, params.clientId),
})
