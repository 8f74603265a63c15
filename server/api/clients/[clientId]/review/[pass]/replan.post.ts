import { DecideAnswer, ReplanBody, ReviewParams } from '#shared/contracts/review'
import { chooseReplan } from '../../../../../services/review'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: ReviewParams,
  body: ReplanBody,
  answer: DecideAnswer,
  doing: 'replan',
  handle: ({ coach, params, body, event }) =>
    chooseReplan(coach, params.clientId, params.pass, body, todayOf(event)),
})
