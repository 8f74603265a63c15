import { FloorView } from '#shared/contracts/floor'
import { PlainDateContract } from '#shared/contracts/plan'
import { floor } from '../../services/floor'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  answer: FloorView,
  handle: ({ coach, event }) => {
    const today = todayOf(event)
    const on = PlainDateContract.safeParse(getQuery(event).on ?? today)
    return floor(coach, on.success ? on.data : today, today)
  },
})
