import { success } from '#core/base'
import { z } from 'zod'
import { isReady } from '../services/health'
import { defineOpenRoute } from '../utils/defineRoute'

/** Whether requests may be sent here: the database is there and migrated as far as this version needs. */
export default defineOpenRoute({
  answer: z.object({ ready: z.boolean() }),
  handle: async ({ event }) => {
    const ready = await isReady()
    if (!ready) setResponseStatus(event, 503)
    return success({ ready })
  },
})
