import { success } from '#core/base'
import { PlanTemplatesView } from '#shared/contracts/planTemplate'
import { planTemplates } from '../../services/planTemplates'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: PlanTemplatesView,
  handle: async ({ coach }) => success(await planTemplates(coach)),
})
