import { PlateauAnswer, PlateauParams } from '#shared/contracts/review'
import { plateau } from '../../../../services/manyRotations'
import { defineRoute } from '../../../../utils/defineRoute'
import { todayOf } from '../../../../utils/today'

export default defineRoute({
  params: PlateauParams,
  answer: PlateauAnswer,
  handle: ({ coach, params, event }) =>
    plateau(coach, params.clientId, params.group, todayOf(event)),
})
