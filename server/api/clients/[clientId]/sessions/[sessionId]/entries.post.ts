import { LogParams } from '#shared/contracts/log'
import { EntriesAnswer, EntriesBody } from '#shared/contracts/sheet'
import { coachEntries } from '../../../../../services/log'
import { defineRoute } from '../../../../../utils/defineRoute'
import { todayOf } from '../../../../../utils/today'

export default defineRoute({
  params: LogParams,
  body: EntriesBody,
  answer: EntriesAnswer,
  doing: 'log',
  handle: ({ coach, params, body, event }) =>
    coachEntries(coach, params.clientId, params.sessionId, body, todayOf(event)),
})
