import { useEventListener, useIntervalFn } from '@vueuse/core'

const RETRY_MS = 15_000
const REFRESH_MS = 5 * 60_000

/** Keeps a phone's sheet and the server together for as long as the page is open: sends what waits, fetches what is new. */
export function useSheetSync(): void {
  const store = useSheetStore()
  useEventListener('online', () => void store.flush().then(() => store.refresh()))
  useEventListener('offline', () => (store.reception = 'none'))
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') void store.flush().then(() => store.refresh())
  })
  useIntervalFn(() => {
    if (store.waiting.length > 0 || store.reception === 'none')
      void store.flush().then(() => (store.reception === 'none' ? store.refresh() : undefined))
  }, RETRY_MS)
  useIntervalFn(() => {
    if (store.waiting.length === 0) void store.refresh()
  }, REFRESH_MS)
}
