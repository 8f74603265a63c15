import { success } from '#core/base'
import { RosterView } from '#shared/contracts/roster'
import { roster } from '../services/roster'
import { defineRoute } from '../utils/defineRoute'
import { todayOf } from '../utils/today'

/** What a coach waits for logs that nobody has read yet, ms; the page asks for the rest. */
const PATIENCE_MS = 400

export default defineRoute({
  answer: RosterView,
  handle: async ({ coach, event }) => success(await roster(coach, todayOf(event), PATIENCE_MS)),
})
