import { clientId } from '#core/base'
import { Done, MissedDecisionBody, SessionParams } from '#shared/contracts/history'
import { decide } from '../../../../../services/history'
import { defineRoute } from '../../../../../utils/defineRoute'

export default defineRoute({
  params: SessionParams,
  body: MissedDecisionBody,
  answer: Done,
  doing: 'missed',
  handle: ({ coach, params, body }) =>
    decide(coach, clientId(params.clientId), params.sessionId, body.decision),
})
