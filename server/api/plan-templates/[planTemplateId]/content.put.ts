import {
  KeptTemplate,
  PlanTemplateParams,
  ReplaceTemplateBody,
} from '#shared/contracts/planTemplate'
import { replaceTemplate } from '../../../services/planTemplates'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: PlanTemplateParams,
  body: ReplaceTemplateBody,
  answer: KeptTemplate,
  doing: 'plan_template',
  handle: ({ coach, params, body, event }) =>
    replaceTemplate(coach, params.planTemplateId, body, todayOf(event)),
})
