import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { useRestAlarm } from './useRestAlarm'

/** A rest that runs: ends by the clock, so that neither a locked screen nor a reload stops it. Times in milliseconds. */
export interface RunningRest {
  readonly endsAt: number
  readonly seconds: number
  readonly before: string
  readonly prepare?: string
}

const TICK_MS = 250
const BEEPS = [0, 0.25, 0.5] as const
const BEEP_SECONDS = 0.15
const BEEP_HERTZ = 880
/** A rest that is long over says nothing any more. */
const FORGET_SECONDS = 600

/** The rest between sets on a phone: counts down, tells its end by sound, vibration and words. */
export function useRestTimer() {
  const running = useLocalStorage<RunningRest | null>('tholepin-sheet-rest', null, {
    serializer: {
      read: text => (text === '' ? null : (JSON.parse(text) as RunningRest)),
      write: value => (value ? JSON.stringify(value) : ''),
    },
  })
  const now = ref(Date.now())
  const alarm = useRestAlarm()
  /** Made by a tap, as browsers want it; sounds later without one. */
  let sound: AudioContext | undefined
  let announced =
    running.value !== null && running.value.endsAt <= Date.now() ? running.value.endsAt : 0

  const left = computed(() =>
    running.value ? Math.ceil((running.value.endsAt - now.value) / 1000) : null,
  )
  const over = computed(() => (left.value !== null && left.value <= 0 ? -left.value : null))
  const share = computed(() =>
    running.value && running.value.seconds > 0
      ? Math.min(
          1,
          Math.max(0, 1 - (running.value.endsAt - now.value) / (running.value.seconds * 1000)),
        )
      : 1,
  )

  function start(seconds: number, before: string, prepare = ''): void {
    sound ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext()
    void sound?.resume()
    now.value = Date.now()
    running.value =
      seconds > 0 ? { endsAt: now.value + seconds * 1000, seconds, before, prepare } : null
    if (running.value) void alarm.hold()
  }
  function add(seconds: number): void {
    if (!running.value) return
    const endsAt = Math.max(running.value.endsAt, Date.now()) + seconds * 1000
    running.value = { ...running.value, endsAt, seconds: running.value.seconds + seconds }
  }
  function skip(): void {
    running.value = null
    void alarm.release()
  }
  function tell(): void {
    navigator.vibrate?.([200, 100, 200])
    void alarm.tell(running.value?.before ?? '')
    if (!sound) return
    for (const at of BEEPS) {
      const tone = sound.createOscillator()
      tone.frequency.value = BEEP_HERTZ
      tone.connect(sound.destination)
      tone.start(sound.currentTime + at)
      tone.stop(sound.currentTime + at + BEEP_SECONDS)
    }
  }

  useIntervalFn(() => {
    now.value = Date.now()
    if (running.value && running.value.endsAt <= now.value && announced !== running.value.endsAt) {
      announced = running.value.endsAt
      tell()
    }
    if ((over.value ?? 0) > FORGET_SECONDS) running.value = null
  }, TICK_MS)

  return {
    running: readonly(running),
    now: readonly(now),
    left,
    over,
    share,
    alarm,
    start,
    add,
    skip,
  }
}
