import { FloorAhead } from '#shared/contracts/floor'
import { ClientParams } from '#shared/contracts/client'
import { floorAhead } from '../../../services/floorAhead'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: FloorAhead,
  handle: ({ coach, params, event }) => floorAhead(coach, params.clientId, todayOf(event)),
})
