import { ChangesView } from '#shared/contracts/changes'
import { ClientParams } from '#shared/contracts/client'
import { changesFor } from '../../../../services/changes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: ChangesView,
  handle: ({ coach, params }) => changesFor(coach, params.clientId),
})
