import { ClientParams } from '#shared/contracts/client'
import { OutboxView } from '#shared/contracts/sheet'
import { clientOutbox } from '../../../../services/outbox'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: OutboxView,
  handle: ({ coach, params }) => clientOutbox(coach, params.clientId),
})
