import { FloorStartBody, TakenRemedy } from '#shared/contracts/floor'
import { moveStart } from '../../services/floorRemedies'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: FloorStartBody,
  answer: TakenRemedy,
  doing: 'floor',
  handle: ({ coach, body, event }) => moveStart(coach, body, todayOf(event)),
})
