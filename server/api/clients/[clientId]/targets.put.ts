import { ClientParams } from '#shared/contracts/client'
import { SavedClient } from '#shared/contracts/profile'
import { TargetsSave } from '#shared/contracts/targets'
import { saveTargets } from '../../../services/targets'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: ClientParams,
  body: TargetsSave,
  answer: SavedClient,
  doing: 'targets',
  handle: ({ coach, params, body }) => saveTargets(coach, params.clientId, body.mine, body.was),
})
