import { ClientParams } from '#shared/contracts/client'
import { ReportAnswer } from '#shared/contracts/report'
import { report } from '../../../services/report'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: ReportAnswer,
  handle: ({ coach, params, event }) => report(coach, params.clientId, todayOf(event)),
})
