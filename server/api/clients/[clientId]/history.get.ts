import { ClientParams } from '#shared/contracts/client'
import { HistoryView } from '#shared/contracts/history'
import { history } from '../../../services/history'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: HistoryView,
  handle: ({ coach, params, event }) => history(coach, params.clientId, todayOf(event)),
})
