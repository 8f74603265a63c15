import { BlockParams } from '#shared/contracts/client'
import { SavedPlan, SavePlanBody } from '#shared/contracts/plan'
import { serverToday } from '../../../clock'
import { savePlan } from '../../../services/savePlan'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: SavePlanBody,
  answer: SavedPlan,
  doing: 'plan',
  handle: ({ coach, params, body }) =>
    savePlan(coach, { blockId: params.blockId, ...body }, serverToday()),
})
