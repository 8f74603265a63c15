import { ClientParams } from '#shared/contracts/client'
import { LoadsAnswer } from '#shared/contracts/loads'
import { loads } from '../../../services/loads'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: LoadsAnswer,
  handle: ({ coach, params, event }) => loads(coach, params.clientId, todayOf(event)),
})
