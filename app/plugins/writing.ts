import type { AsyncLocalStorage } from 'node:async_hooks'
import { USUAL_WRITING, writeAs, type Writing } from '#core/words'

type Readers = AsyncLocalStorage<{ readonly writing?: Writing }>

/** Pages are written as the coach has it: on the server by who asks (server/utils/writing.ts), here by who is signed in. */
export default defineNuxtPlugin(() => {
  if (import.meta.server) {
    const shared = globalThis as unknown as Record<symbol, Readers | undefined>
    return writeAs(() => shared[Symbol.for('tholepin reader')]?.getStore()?.writing)
  }
  const { user } = useUserSession()
  writeAs(() => user.value?.writing && { ...USUAL_WRITING, ...user.value.writing })
})
