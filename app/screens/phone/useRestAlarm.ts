import { useDocumentVisibility, useLocalStorage, useWakeLock } from '@vueuse/core'

/** What a browser lets a rest do while nobody looks at the page. */
export type RestAlarm = 'screen' | 'message' | 'nothing'

/** Said beside the switch, so that nobody waits for a sound that cannot come. */
export const ALARM_WORDS: Readonly<Record<RestAlarm, string>> = {
  screen: 'The screen stays on while you rest, and the phone rings at the end.',
  message: 'At the end of a rest the phone shows a message, also when you look at something else.',
  nothing: 'This browser stays silent when the phone is locked. Keep the screen on while you rest.',
}

const canNotify = () => typeof Notification !== 'undefined' && 'serviceWorker' in navigator

/** Keeps a rest audible: holds the screen awake where the browser can, and shows a message where it may. */
export function useRestAlarm() {
  const lock = useWakeLock()
  const isOn = useLocalStorage('tholepin-sheet-alarm', false)
  const visibility = useDocumentVisibility()
  const kind = computed((): RestAlarm => {
    if (lock.isSupported.value) return 'screen'
    return canNotify() ? 'message' : 'nothing'
  })

  /** Turned on by a tap, as browsers want it before they ask. */
  async function turn(): Promise<void> {
    isOn.value = !isOn.value
    if (!isOn.value) await lock.release()
    else if (canNotify() && Notification.permission === 'default')
      await Notification.requestPermission()
  }
  async function hold(): Promise<void> {
    if (isOn.value && lock.isSupported.value) await lock.request('screen').catch(() => undefined)
  }
  /** The rest is over: the screen may sleep again, and whoever looks elsewhere is told. */
  async function tell(before: string): Promise<void> {
    await lock.release()
    if (!isOn.value || visibility.value === 'visible' || !canNotify()) return
    if (Notification.permission !== 'granted') return
    const worker = await navigator.serviceWorker.getRegistration()
    await worker?.showNotification('Rest is over', { body: before, tag: 'tholepin-rest' })
  }
  return { isOn: readonly(isOn), kind, turn, hold, release: () => lock.release(), tell }
}
