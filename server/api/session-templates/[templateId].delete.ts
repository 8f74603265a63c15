import { KeptSession, SessionTemplateParams } from '#shared/contracts/sessionTemplate'
import { removeSessionTemplate } from '../../services/sessionTemplates'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  params: SessionTemplateParams,
  answer: KeptSession,
  doing: 'template',
  handle: ({ coach, params }) => removeSessionTemplate(coach, params.templateId),
})
