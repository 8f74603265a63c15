import { ClientParams } from '#shared/contracts/client'
import { ProfileContract, SavedClient } from '#shared/contracts/profile'
import { saveProfile } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: ProfileContract,
  answer: SavedClient,
  doing: 'profile',
  handle: ({ coach, params, body }) => saveProfile(coach, params.clientId, body),
})
