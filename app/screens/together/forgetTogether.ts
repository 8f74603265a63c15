import { clear, createStore, del, entries } from 'idb-keyval'
import { TOGETHER_KEPT } from './useTogether'
import { TOGETHER_BASE } from './useTogetherSheet'

/** Whoever signs out leaves no client's sheet on the tablet; only what was logged and not sent yet stays, to be sent after the next sign-in. */
export async function forgetTogether(): Promise<void> {
  localStorage.removeItem(TOGETHER_KEPT)
  const store = createStore(TOGETHER_BASE, 'kept')
  const kept = await entries<string, unknown>(store)
  const isUnsent = ([name, value]: [string, unknown]) =>
    /^(waiting|aside) /.test(name) && Array.isArray(value) && value.length > 0
  if (!kept.some(isUnsent)) return clear(store)
  await Promise.all(kept.filter(one => !isUnsent(one)).map(([name]) => del(name, store)))
}
