import { ClientParams } from '#shared/contracts/client'
import { SavedClient } from '#shared/contracts/profile'
import { TargetsContract } from '#shared/contracts/targets'
import { saveTargets } from '../../../services/targets'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: TargetsContract,
  answer: SavedClient,
  doing: 'targets',
  handle: ({ coach, params, body }) => saveTargets(coach, params.clientId, body),
})
