import { Done } from '#shared/contracts/history'
import { MessageParams } from '#shared/contracts/sheet'
import { tryAgain } from '../../../services/outbox'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: MessageParams,
  answer: Done,
  handle: ({ coach, params }) => tryAgain(coach, params.messageId),
})
