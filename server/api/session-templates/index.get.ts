import { success } from '#core/base'
import { SessionTemplatesView } from '#shared/contracts/sessionTemplate'
import { sessionTemplates } from '../../services/sessionTemplates'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  answer: SessionTemplatesView,
  handle: async ({ coach }) => success(await sessionTemplates(coach)),
})
