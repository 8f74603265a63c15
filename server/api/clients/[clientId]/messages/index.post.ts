import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { MessageBody } from '#shared/contracts/sheet'
import { writeMessage } from '../../../../services/outbox'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: MessageBody,
  answer: Done,
  doing: 'message',
  handle: ({ coach, params, body }) => writeMessage(coach, params.clientId, body.text),
})
