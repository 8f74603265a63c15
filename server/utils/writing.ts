import { AsyncLocalStorage } from 'node:async_hooks'
import { USUAL_WRITING, writeAs, type Writing } from '#core/words'

/** Filled once it is known who asks. */
interface Reader {
  writing?: Writing
}
const KEY = Symbol.for('tholepin reader')
const shared = globalThis as unknown as Record<symbol, AsyncLocalStorage<Reader> | undefined>
const readers: AsyncLocalStorage<Reader> = (shared[KEY] ??= new AsyncLocalStorage())

/** Runs an answer that everything said in is written for one reader; `writeFor` says which. */
export const forOneReader = <Value>(answer: () => Value): Value => readers.run({}, answer)

/** From here on the answer at hand is written so; what is not said is as usual. */
export function writeFor(own: Partial<Writing> | undefined): void {
  const reader = readers.getStore()
  if (reader && own) reader.writing = { ...USUAL_WRITING, ...own }
}

writeAs(() => readers.getStore()?.writing)
