import { BlockParams } from '#shared/contracts/client'
import { SoftStartView } from '#shared/contracts/season'
import { softStartOf } from '../../../services/seams'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: BlockParams,
  answer: SoftStartView,
  handle: ({ coach, params, event }) => softStartOf(coach, params.blockId, todayOf(event)),
})
