import { NewExerciseBody, SavedExercise } from '#shared/contracts/library'
import { addExercise } from '../../services/library'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: NewExerciseBody,
  answer: SavedExercise,
  doing: 'exercise',
  handle: ({ coach, body }) => addExercise(coach, body),
})
