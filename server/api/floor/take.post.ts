import { TakenRemedy, TakeRemedyBody } from '#shared/contracts/floor'
import { takeRemedy } from '../../services/floorRemedies'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: TakeRemedyBody,
  answer: TakenRemedy,
  doing: 'floor',
  handle: ({ coach, body, event }) => takeRemedy(coach, body, todayOf(event)),
})
