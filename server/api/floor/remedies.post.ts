import { RemediesBody, RemediesView } from '#shared/contracts/floor'
import { remedies } from '../../services/floorRemedies'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: RemediesBody,
  answer: RemediesView,
  handle: ({ coach, body, event }) => remedies(coach, body, todayOf(event)),
})
