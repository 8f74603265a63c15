import { MethodParams, SavedMethod } from '#shared/contracts/method'
import { removeMethod } from '../../services/methods'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  params: MethodParams,
  answer: SavedMethod,
  doing: 'own_method',
  handle: ({ coach, params }) => removeMethod(coach, params.methodId),
})
