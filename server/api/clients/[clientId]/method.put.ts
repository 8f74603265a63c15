import { ClientParams } from '#shared/contracts/client'
import { FollowBody, SavedClient } from '#shared/contracts/profile'
import { followMethod } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: FollowBody,
  answer: SavedClient,
  doing: 'method',
  handle: ({ coach, params, body }) => followMethod(coach, params.clientId, body),
})
