import { FloorView } from '#shared/contracts/floor'
import { floor } from '../services/floor'
import { defineRoute } from '../utils/defineRoute'
import { todayOf } from '../utils/today'

export default defineRoute({
  answer: FloorView,
  handle: ({ coach, event }) => floor(coach, todayOf(event)),
})
