import { ClientParams } from '#shared/contracts/client'
import { SavedClient, SidesBody } from '#shared/contracts/profile'
import { setSides } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: SidesBody,
  answer: SavedClient,
  doing: 'sides',
  handle: ({ coach, params, body }) => setSides(coach, params.clientId, body),
})
