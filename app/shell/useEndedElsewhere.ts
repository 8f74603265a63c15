import { useBroadcastChannel, useEventListener } from '@vueuse/core'
import { isOpenPath } from './openPaths'

/** A request was answered as to nobody. */
export const NOT_SIGNED_IN = 'tholepin:not-signed-in'
/** The sign-in is being ended here and now, which needs no telling. */
export const useLeaving = () => useState('leaving', () => false)

/** Other pages of this browser hear that the sign-in has ended. */
export const useEndTold = () => useBroadcastChannel<'ended', 'ended'>({ name: 'tholepin-sign-in' })

/** Whether the sign-in this page was opened with has ended elsewhere: in another tab, or on another machine. */
export function useEndedElsewhere() {
  const { loggedIn, fetch: look } = useUserSession()
  const route = useRoute()
  const isLeaving = useLeaving()
  const { data: told } = useEndTold()
  const again = () => {
    if (loggedIn.value) void look()
  }
  watch(told, again)
  onMounted(() => {
    useEventListener(window, NOT_SIGNED_IN, again)
    useEventListener(document, 'visibilitychange', () => !document.hidden && again())
    // A page that the browser kept as it was asks before it is shown again.
    useEventListener(window, 'pageshow', ({ persisted }) => persisted && again())
  })
  return computed(() => !loggedIn.value && !isLeaving.value && !isOpenPath(route.path))
}
