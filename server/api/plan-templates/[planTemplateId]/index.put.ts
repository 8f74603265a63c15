import {
  KeptTemplate,
  PlanTemplateParams,
  RenameTemplateBody,
} from '#shared/contracts/planTemplate'
import { renameTemplate } from '../../../services/planTemplates'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: PlanTemplateParams,
  body: RenameTemplateBody,
  answer: KeptTemplate,
  doing: 'plan_template',
  handle: ({ coach, params, body }) => renameTemplate(coach, params.planTemplateId, body),
})
