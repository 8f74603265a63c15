import { KeptTemplate, PlanTemplateParams } from '#shared/contracts/planTemplate'
import { removePlanTemplate } from '../../../services/planTemplates'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: PlanTemplateParams,
  answer: KeptTemplate,
  doing: 'plan_template',
  handle: ({ coach, params }) => removePlanTemplate(coach, params.planTemplateId),
})
