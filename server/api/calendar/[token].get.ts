import { CalendarParams } from '#shared/contracts/shown'
import { z } from 'zod'
import { openShown, shownCalendar } from '../../services/shown'
import { addressOf } from '../../utils/address'
import { defineOpenRoute } from '../../utils/defineRoute'
import { writeFor } from '../../utils/writing'

export default defineOpenRoute({
  params: CalendarParams,
  answer: z.string(),
  handle: async ({ event, params }) => {
    const shown = await openShown(params.token, addressOf(event))
    if (!shown.ok) return shown
    writeFor(shown.value.coach.writing)
    const text = await shownCalendar(shown.value)
    if (text.ok) setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
    return text
  },
})
