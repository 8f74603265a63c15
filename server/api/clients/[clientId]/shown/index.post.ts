import { ClientParams } from '#shared/contracts/client'
import { NewShownAnswer, NewShownBody } from '#shared/contracts/shown'
import { makeShown } from '../../../../services/shown'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: NewShownBody,
  answer: NewShownAnswer,
  doing: 'shown',
  handle: ({ coach, params, body }) => makeShown(coach, params.clientId, body),
})
