import { CopyMethodBody, SavedMethod } from '#shared/contracts/method'
import { copyMethod } from '../../services/methods'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: CopyMethodBody,
  answer: SavedMethod,
  doing: 'own_method',
  handle: ({ coach, body }) => copyMethod(coach, body),
})
