import { ProfileContract, SavedClient } from '#shared/contracts/profile'
import { addClient } from '../../services/profiles'
import { defineRoute } from '../../utils/defineRoute'
import { todayOf } from '../../utils/today'

export default defineRoute({
  body: ProfileContract,
  answer: SavedClient,
  handle: ({ event, coach, body }) => addClient(coach, body, todayOf(event)),
})
