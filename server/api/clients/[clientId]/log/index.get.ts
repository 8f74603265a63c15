import { ClientParams } from '#shared/contracts/client'
import { LogListView } from '#shared/contracts/log'
import { logList } from '../../../../services/log'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: LogListView,
  handle: ({ coach, params, event }) => logList(coach, params.clientId, todayOf(event)),
})
