import { LogParams, SessionLogAnswer } from '#shared/contracts/log'
import { sessionLog } from '../../../../../services/log'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: LogParams,
  answer: SessionLogAnswer,
  handle: ({ coach, params, event }) =>
    sessionLog(coach, params.clientId, params.sessionId, todayOf(event)),
})
