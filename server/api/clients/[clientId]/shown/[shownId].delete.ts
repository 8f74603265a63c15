import { Done } from '#shared/contracts/history'
import { ShownParams } from '#shared/contracts/shown'
import { withdrawShown } from '../../../../services/shown'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ShownParams,
  answer: Done,
  doing: 'shown',
  handle: ({ coach, params }) => withdrawShown(coach, params.clientId, params.shownId),
})
