import { LogParams } from '#shared/contracts/log'
import { EntriesAnswer, EntriesBody } from '#shared/contracts/sheet'
import { coachEntries } from '../../../../../services/log'
import { defineRoute } from '../../../../../utils/defineRoute'

export default defineRoute({
  params: LogParams,
  body: EntriesBody,
  answer: EntriesAnswer,
  handle: ({ coach, params, body }) => coachEntries(coach, params.clientId, params.sessionId, body),
})
