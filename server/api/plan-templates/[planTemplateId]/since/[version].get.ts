import { TemplateSinceParams, TemplateSinceView } from '#shared/contracts/planTemplate'
import { templateSince } from '../../../../services/planTemplates'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: TemplateSinceParams,
  answer: TemplateSinceView,
  handle: ({ coach, params }) => templateSince(coach, params.planTemplateId, params.version),
})
