import { ConfirmBody, DecideAnswer, ReviewParams } from '#shared/contracts/review'
import { confirmValue } from '../../../../../services/review'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: ReviewParams,
  body: ConfirmBody,
  answer: DecideAnswer,
  doing: 'confirmed',
  handle: ({ coach, params, body, event }) =>
    confirmValue(coach, params.clientId, params.pass, body, todayOf(event)),
})
