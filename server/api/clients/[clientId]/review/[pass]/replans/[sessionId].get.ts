import { ReplansAnswer, ReplansParams } from '#shared/contracts/review'
import { replansFor } from '../../../../../../services/review'
import { defineRoute } from '../../../../../../utils/defineRoute'
import { todayOf } from '../../../../../../utils/today'

export default defineRoute({
  params: ReplansParams,
  answer: ReplansAnswer,
  handle: ({ coach, params, event }) =>
    replansFor(coach, params.clientId, params.pass, params.sessionId, todayOf(event)),
})
