import { plainDate } from '#core/base'
import { ProfileContract, SavedClient } from '#shared/contracts/profile'
import { addClient } from '../../services/profiles'
import { defineRoute } from '../../utils/defineRoute'

export default defineRoute({
  body: ProfileContract,
  answer: SavedClient,
  handle: ({ coach, body }) =>
    addClient(coach, body, plainDate(new Date().toISOString().slice(0, 10))),
})
