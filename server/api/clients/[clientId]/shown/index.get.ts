import { ClientParams } from '#shared/contracts/client'
import { ShownView } from '#shared/contracts/shown'
import { shownLinksOf } from '../../../../services/shown'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: ShownView,
  handle: ({ coach, params }) => shownLinksOf(coach, params.clientId),
})
