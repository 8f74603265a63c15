import { SentView } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { sentSessions } from '../../../services/blocks'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  answer: SentView,
  handle: ({ coach, params }) => sentSessions(coach, params.blockId),
})
