import { ChangeCreditsBody, CreditEffectsView, ExerciseParams } from '#shared/contracts/library'
import { creditEffect } from '../../../services/library'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ExerciseParams,
  body: ChangeCreditsBody,
  answer: CreditEffectsView,
  handle: ({ coach, params, body }) => creditEffect(coach, params.exerciseId, body),
})
