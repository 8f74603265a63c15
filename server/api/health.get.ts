import { success } from '#core/base'
import { z } from 'zod'
import { isDatabaseUp } from '../services/health'
import { defineOpenRoute } from '../utils/defineRoute'

export default defineOpenRoute({
  answer: z.object({ program: z.literal('tholepin'), database: z.boolean() }),
  handle: async () => success({ program: 'tholepin' as const, database: await isDatabaseUp() }),
})
