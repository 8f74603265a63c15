import { LastChanges } from '#shared/contracts/changes'
import { ClientParams } from '#shared/contracts/client'
import { lastChanges } from '../../../../services/changes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: LastChanges,
  handle: ({ coach, params }) => lastChanges(coach, params.clientId),
})
