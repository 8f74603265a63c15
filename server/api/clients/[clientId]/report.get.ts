import { ClientParams } from '#shared/contracts/client'
import { ReportAnswer } from '#shared/contracts/report'
import { report } from '../../../services/report'
import { blockAsked } from '../../../utils/blockAsked'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: ReportAnswer,
  handle: ({ coach, params, event }) =>
    report(coach, params.clientId, todayOf(event), blockAsked(event)),
})
