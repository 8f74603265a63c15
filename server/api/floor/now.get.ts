import { FloorNow } from '#shared/contracts/floor'
import { floorNow } from '../../services/floorNow'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  answer: FloorNow,
  handle: ({ coach, event }) => floorNow(coach, todayOf(event)),
})
