import { ClientParams } from '#shared/contracts/client'
import { SheetAnswer } from '#shared/contracts/sheet'
import { sheet } from '../../../services/sheet'
import { defineRoute } from '../../../utils/defineRoute'
import { todayOf } from '../../../utils/today'

/** A client's sheet as it stands on her phone, for a coach who logs with her. */
export default defineRoute({
  params: ClientParams,
  answer: SheetAnswer,
  handle: ({ coach, params, event }) => sheet({ coach, clientId: params.clientId }, todayOf(event)),
})
