import { TurnAnswer, TurnBody } from '#shared/contracts/changes'
import { redoChange } from '../../../services/changes'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  body: TurnBody,
  answer: TurnAnswer,
  handle: ({ coach, body }) => redoChange(coach, 'anyone', body.change),
})
