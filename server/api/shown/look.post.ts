import { LookAnswer, LookBody } from '#shared/contracts/shown'
import { lookAt, openShown } from '../../services/shown'
import { addressOf } from '../../utils/address'
import { defineOpenRoute } from '../../utils/defineRoute'
import { writeFor } from '../../utils/writing'

export default defineOpenRoute({
  body: LookBody,
  answer: LookAnswer,
  handle: async ({ event, body }) => {
    const shown = await openShown(body.token, addressOf(event))
    if (!shown.ok) return shown
    writeFor(shown.value.coach.writing)
    return lookAt(shown.value)
  },
})
