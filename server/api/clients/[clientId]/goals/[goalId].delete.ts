import { Done } from '#shared/contracts/history'
import { GoalParams } from '#shared/contracts/notes'
import { removeGoal } from '../../../../services/notes'
import { defineRoute } from '../../../../utils/defineRoute'

export default defineRoute({
  params: GoalParams,
  answer: Done,
  doing: 'goal',
  handle: ({ coach, params }) => removeGoal(coach, params.clientId, params.goalId),
})
