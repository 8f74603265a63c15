import { success } from '#core/base'
import { QueueView } from '#shared/contracts/queue'
import { queue } from '../../services/queue'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

/** Until a page that asks has something to show. */
const PATIENCE_MS = 400

export default defineRoute({
  answer: QueueView,
  handle: async ({ coach, event }) => success(await queue(coach, todayOf(event), PATIENCE_MS)),
})
