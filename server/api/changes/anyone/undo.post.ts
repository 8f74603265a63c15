import { TurnAnswer, TurnBody } from '#shared/contracts/changes'
import { undoChange } from '../../../services/changes'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  body: TurnBody,
  answer: TurnAnswer,
  handle: ({ coach, body }) => undoChange(coach, 'anyone', body.change),
})
