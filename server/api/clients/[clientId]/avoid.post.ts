import { ClientParams } from '#shared/contracts/client'
import { AvoidBody, SavedClient } from '#shared/contracts/profile'
import { avoidExercise } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: AvoidBody,
  answer: SavedClient,
  doing: 'rule',
  handle: ({ coach, params, body }) => avoidExercise(coach, params.clientId, body.exercise),
})
