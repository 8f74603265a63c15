import { ClientParams } from '#shared/contracts/client'
import { Done, PainBody } from '#shared/contracts/history'
import { reportPain } from '../../../services/history'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: PainBody,
  answer: Done,
  doing: 'pain',
  handle: ({ coach, params, body, event }) =>
    reportPain(coach, params.clientId, body, todayOf(event)),
})
