import { success } from '#core/base'
import { z } from 'zod'
import { isWell } from '../services/health'
import { defineOpenRoute } from '../utils/defineRoute'

export default defineOpenRoute({
  answer: z.object({ program: z.literal('tholepin'), database: z.boolean() }),
  handle: async ({ event }) => {
    const database = await isWell()
    if (!database) setResponseStatus(event, 503)
    return success({ program: 'tholepin' as const, database })
  },
})
