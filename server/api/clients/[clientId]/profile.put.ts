import { ClientParams } from '#shared/contracts/client'
import { ProfileSave, SavedClient } from '#shared/contracts/profile'
import { saveProfile } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: ProfileSave,
  answer: SavedClient,
  doing: 'profile',
  handle: ({ coach, params, body }) => saveProfile(coach, params.clientId, body.mine, body.was),
})
