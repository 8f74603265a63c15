import { MethodContract, MethodParams, SavedMethod } from '#shared/contracts/method'
import { saveMethod } from '../../services/methods'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  params: MethodParams,
  body: MethodContract,
  answer: SavedMethod,
  doing: 'own_method',
  handle: ({ coach, params, body }) => saveMethod(coach, params.methodId, body),
})
