import { BlockParams } from '#shared/contracts/client'
import { SeamFixBody, SeamFixTaken } from '#shared/contracts/season'
import { takeSeamFix } from '../../../services/seams'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: BlockParams,
  body: SeamFixBody,
  answer: SeamFixTaken,
  doing: 'soft_start',
  handle: ({ coach, params, body, event }) =>
    takeSeamFix(coach, params.blockId, body, todayOf(event)),
})
