import { ClientParams } from '#shared/contracts/client'
import { GoalsView } from '#shared/contracts/notes'
import { clientGoals } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: GoalsView,
  handle: ({ coach, params, event }) => clientGoals(coach, params.clientId, todayOf(event)),
})
