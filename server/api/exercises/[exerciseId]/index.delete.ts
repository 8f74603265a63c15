import { ExerciseParams, SavedExercise } from '#shared/contracts/library'
import { removeExercise } from '../../../services/library'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ExerciseParams,
  answer: SavedExercise,
  doing: 'exercise',
  handle: ({ coach, params }) => removeExercise(coach, params.exerciseId),
})
