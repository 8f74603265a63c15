import { BlockParams } from '#shared/contracts/client'
import { SoftStartBody, SoftStartTaken } from '#shared/contracts/season'
import { takeSoftStart } from '../../../services/seams'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: BlockParams,
  body: SoftStartBody,
  answer: SoftStartTaken,
  doing: 'soft_start',
  handle: ({ coach, params, body, event }) =>
    takeSoftStart(coach, params.blockId, body, todayOf(event)),
})
