import { ClientParams } from '#shared/contracts/client'
import { TrendsAnswer } from '#shared/contracts/trends'
import { trends } from '../../../services/trendsPage'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: TrendsAnswer,
  handle: ({ coach, params, event }) => trends(coach, params.clientId, todayOf(event)),
})
