import { success } from '#core/base'
import { z } from 'zod'
import { signOut } from '../services/signIn'
import { defineOpenRoute, signInOf } from '../utils/defineRoute'

export default defineOpenRoute({
  answer: z.object({}),
  handle: async ({ event }) => {
    const kept = await signInOf(event)
    if (kept) await signOut(kept)
    await clearUserSession(event)
    return success({})
  },
})
