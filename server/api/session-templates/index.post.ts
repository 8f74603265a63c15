import { KeepSessionBody, KeptSession } from '#shared/contracts/sessionTemplate'
import { keepSession } from '../../services/sessionTemplates'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: KeepSessionBody,
  answer: KeptSession,
  doing: 'template',
  handle: ({ coach, body }) => keepSession(coach, body),
})
