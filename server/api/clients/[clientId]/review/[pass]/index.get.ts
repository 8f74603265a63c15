import { ReviewAnswer, ReviewParams } from '#shared/contracts/review'
import { review } from '../../../../../services/review'
import { blockAsked } from '../../../../../utils/blockAsked'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: ReviewParams,
  answer: ReviewAnswer,
  handle: ({ coach, params, event }) =>
    review(coach, params.clientId, params.pass, todayOf(event), blockAsked(event)),
})
