import { CarryAnswer, CarryBody, CarryParams } from '#shared/contracts/planTemplate'
import { carry } from '../../../services/carry'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: CarryParams,
  body: CarryBody,
  answer: CarryAnswer,
  doing: 'plan',
  handle: ({ coach, params, body, event }) => carry(coach, params.clientId, body, todayOf(event)),
})
