import { ClientParams } from '#shared/contracts/client'
import { SavedClient } from '#shared/contracts/profile'
import { makePractice } from '../../../services/practice'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: SavedClient,
  doing: 'practice',
  handle: ({ coach, params, event }) => makePractice(coach, params.clientId, todayOf(event)),
})
