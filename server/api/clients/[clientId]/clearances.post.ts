import { ClientParams } from '#shared/contracts/client'
import { ClearanceBody, Done } from '#shared/contracts/history'
import { recordClearance } from '../../../services/history'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: ClearanceBody,
  answer: Done,
  doing: 'clearance',
  handle: ({ coach, params, body, event }) =>
    recordClearance(coach, params.clientId, body, todayOf(event)),
})
