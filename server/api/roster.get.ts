import { success } from '#core/base'
import { RosterView } from '#shared/contracts/roster'
import { roster } from '../services/roster'
import { defineRoute } from '../utils/defineRoute'
import { todayOf } from '../utils/today'

export default defineRoute({
  answer: RosterView,
  handle: async ({ coach, event }) => success(await roster(coach, todayOf(event))),
})
