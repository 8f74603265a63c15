import { ChangeCreditsBody, CreditEffectsView, ExerciseParams } from '#shared/contracts/library'
import { changeCredits } from '../../../services/library'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ExerciseParams,
  body: ChangeCreditsBody,
  answer: CreditEffectsView,
  doing: 'credits',
  handle: ({ coach, params, body }) => changeCredits(coach, params.exerciseId, body),
})
