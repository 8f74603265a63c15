import { useMounted } from '@vueuse/core'

/** Whether there is too little room for things side by side; known once the page is live, since the server cannot see the screen. */
export function useIsPhone() {
  const isLive = useMounted()
  const isNarrow = useMediaQuery('(max-width: 767px)')
  return computed(() => isLive.value && isNarrow.value)
}
