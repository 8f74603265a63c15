import { PlanTemplateFile, PlanTemplateParams } from '#shared/contracts/planTemplate'
import { exportTemplate } from '../../../services/planTemplates'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: PlanTemplateParams,
  answer: PlanTemplateFile,
  handle: ({ coach, params }) => exportTemplate(coach, params.planTemplateId),
})
