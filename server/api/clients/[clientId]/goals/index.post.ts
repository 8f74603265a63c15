import { ClientParams } from '#shared/contracts/client'
import { Done } from '#shared/contracts/history'
import { GoalBody } from '#shared/contracts/notes'
import { setGoal } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: ClientParams,
  body: GoalBody,
  answer: Done,
  doing: 'goal',
  handle: ({ coach, params, body, event }) => setGoal(coach, params.clientId, body, todayOf(event)),
})
