import { ClientParams } from '#shared/contracts/client'
import { StrengthsView } from '#shared/contracts/history'
import { strengths } from '../../../services/history'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: StrengthsView,
  handle: ({ coach, params, event }) => strengths(coach, params.clientId, todayOf(event)),
})
