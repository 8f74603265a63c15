import { ExerciseParams, NewExerciseBody, SavedExercise } from '#shared/contracts/library'
import { saveExercise } from '../../../services/library'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ExerciseParams,
  body: NewExerciseBody,
  answer: SavedExercise,
  doing: 'exercise',
  handle: ({ coach, params, body }) => saveExercise(coach, params.exerciseId, body),
})
