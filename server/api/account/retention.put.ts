import { RetentionContract, RetentionView } from '#shared/contracts/retention'
import { saveRetention } from '../../services/retention'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: RetentionContract,
  answer: RetentionView,
  doing: 'retention',
  handle: ({ coach, body }) => saveRetention(coach, body),
})
