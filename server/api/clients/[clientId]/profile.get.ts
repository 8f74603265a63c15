import { ClientParams } from '#shared/contracts/client'
import { ProfileContract } from '#shared/contracts/profile'
import { profile } from '../../../services/profiles'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  answer: ProfileContract,
  handle: ({ coach, params }) => profile(coach, params.clientId),
})
