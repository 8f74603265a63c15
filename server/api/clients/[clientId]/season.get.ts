import { ClientParams } from '#shared/contracts/client'
import { SeasonAnswer } from '#shared/contracts/season'
import { clientSeason } from '../../../services/season'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

export default defineRoute({
  params: ClientParams,
  answer: SeasonAnswer,
  handle: ({ coach, params, event }) => clientSeason(coach, params.clientId, todayOf(event)),
})
