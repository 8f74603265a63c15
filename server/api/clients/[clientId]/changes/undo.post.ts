import { TurnAnswer, TurnBody } from '#shared/contracts/changes'
import { ClientParams } from '#shared/contracts/client'
import { undoChange } from '../../../../services/changes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: TurnBody,
  answer: TurnAnswer,
  handle: ({ coach, params, body }) => undoChange(coach, params.clientId, body.change),
})
