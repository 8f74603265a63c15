import { TogetherBody, TogetherView } from '#shared/contracts/floor'
import { together } from '../../services/floorTogether'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: TogetherBody,
  answer: TogetherView,
  doing: 'floor',
  handle: ({ coach, body, event }) => together(coach, body, todayOf(event)),
})
