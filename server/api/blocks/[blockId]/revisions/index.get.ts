import { BlockParams } from '#shared/contracts/client'
import { RevisionsView } from '#shared/contracts/revisions'
import { revisions } from '../../../../services/revisions'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  answer: RevisionsView,
  handle: ({ coach, params }) => revisions(coach, params.blockId),
})
