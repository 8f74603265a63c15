import type { AsyncLocalStorage } from 'node:async_hooks'
import { USUAL_WRITING, writeAs, type Writing } from '#core/words'

type Readers = AsyncLocalStorage<{ readonly writing?: Writing }>

/**
 * Pages are written as the coach has it: on the server by who asks (server/utils/writing.ts), here by who is signed in, on a
 * client's phone by the studio the sheet comes from.
 */
export default defineNuxtPlugin(() => {
  if (import.meta.server) {
    const shared = globalThis as unknown as Record<symbol, Readers | undefined>
    return writeAs(() => shared[Symbol.for('tholepin reader')]?.getStore()?.writing)
  }
  const { user } = useUserSession()
  const sheet = useSheetStore()
  writeAs(() => {
    const own = user.value?.writing ?? sheet.view?.coach.writing
    return own && { ...USUAL_WRITING, ...own }
  })
})
