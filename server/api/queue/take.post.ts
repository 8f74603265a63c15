import { SafeAnswer, SafeBody } from '#shared/contracts/queue'
import { takeSafe } from '../../services/queue'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: SafeBody,
  answer: SafeAnswer,
  doing: 'safe_changes',
  handle: ({ coach, body, event }) => takeSafe(coach, body, todayOf(event)),
})
