import { KeptTemplate, PlanTemplateFile } from '#shared/contracts/planTemplate'
import { importTemplate } from '../../services/planTemplates'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: PlanTemplateFile,
  answer: KeptTemplate,
  doing: 'plan_template',
  handle: ({ coach, body }) => importTemplate(coach, body),
})
