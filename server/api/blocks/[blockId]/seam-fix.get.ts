import { BlockParams } from '#shared/contracts/client'
import { SeamFixesView } from '#shared/contracts/season'
import { seamFixes } from '../../../services/seams'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: BlockParams,
  answer: SeamFixesView,
  handle: ({ coach, params, event }) => seamFixes(coach, params.blockId, todayOf(event)),
})
