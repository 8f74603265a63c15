import { SendBody, SentAnswer } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { send } from '../../../services/blocks'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: SendBody,
  answer: SentAnswer,
  doing: 'sent',
  handle: ({ coach, params, body }) => send(coach, params.blockId, body),
})
