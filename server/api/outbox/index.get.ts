import { OutboxView } from '#shared/contracts/sheet'
import { outbox } from '../../services/outbox'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({ answer: OutboxView, handle: ({ coach }) => outbox(coach) })
