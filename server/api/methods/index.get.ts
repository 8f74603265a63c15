import { success } from '#core/base'
import { MethodsView } from '#shared/contracts/method'
import { methods } from '../../services/methods'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: MethodsView,
  handle: async ({ coach }) => success(await methods(coach)),
})
