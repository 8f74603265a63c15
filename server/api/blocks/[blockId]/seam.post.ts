import { BlockParams } from '#shared/contracts/client'
import { SeamBody, SeamMoved } from '#shared/contracts/season'
import { moveSeam } from '../../../services/seams'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: BlockParams,
  body: SeamBody,
  answer: SeamMoved,
  doing: 'seam',
  handle: ({ coach, params, body, event }) => moveSeam(coach, params.blockId, body, todayOf(event)),
})
