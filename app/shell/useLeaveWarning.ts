import { useEventListener } from '@vueuse/core'

/** Asks before something entered and not saved is left behind. `kept` marks what is there as saved. */
export function useLeaveWarning(entered: () => unknown) {
  const saved = ref(JSON.stringify(entered()))
  const isChanged = () => JSON.stringify(entered()) !== saved.value
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (isChanged()) event.preventDefault()
  })
  onBeforeRouteLeave(
    () => !isChanged() || confirm('What you entered here is not saved. Leave it behind?'),
  )
  return { kept: () => void (saved.value = JSON.stringify(entered())) }
}
