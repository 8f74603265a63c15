import { DraftAnswer, PhaseBody } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { serverToday } from '../../../clock'
import { decidePhase } from '../../../services/phases'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: PhaseBody,
  answer: DraftAnswer,
  doing: 'phase',
  handle: ({ coach, params, body }) => decidePhase(coach, params.blockId, body, serverToday()),
})
