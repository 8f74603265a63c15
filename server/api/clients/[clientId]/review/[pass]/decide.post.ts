import { DecideAnswer, DecideBody, ReviewParams } from '#shared/contracts/review'
import { decideProposal } from '../../../../../services/review'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: ReviewParams,
  body: DecideBody,
  answer: DecideAnswer,
  doing: 'decision',
  handle: ({ coach, params, body, event }) =>
    decideProposal(coach, params.clientId, params.pass, body, todayOf(event)),
})
