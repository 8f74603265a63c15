import { success } from '#core/base'
import { ClientCreditsView } from '#shared/contracts/library'
import { creditsOfClients } from '../../services/library'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: ClientCreditsView,
  handle: async ({ coach }) => success(await creditsOfClients(coach)),
})
