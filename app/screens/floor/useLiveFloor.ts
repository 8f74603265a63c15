import { secondsOf } from '#core/follow/floor'
import { lateWords } from '#core/words'
import { FloorNow } from '#shared/contracts/floor'
import { useThrottleFn } from '@vueuse/core'
import { clockAt } from '~/shell/clockAt'
import type { FloorPage } from './useFloor'

/** The page asks again at most so often, whatever happens. Units: ms. */
const LEAST_MS = 1000
/** A connection that says nothing for so long is none. The server says that it is there every 20 s. Units: ms. */
const SILENCE_MS = 50_000
const AGAIN_MS = 5000

const secondsAt = (time: Date) => secondsOf(clockAt(time)) + time.getSeconds()

const NOTHING: FloorNow = { sessions: [], pains: [], wrote: [] }

const withClock = <Said extends { readonly at: string }>(said: Said) => ({
  ...said,
  clock: clockAt(new Date(said.at)),
})

/** Follows today's floor while it is open: where each is, how far ahead or behind, and what hurts. */
export function useLiveFloor({ view, on, today, refresh, showPartOf }: FloorPage) {
  const { ask } = useApi()
  const now = shallowRef(NOTHING)
  const isLive = ref(false)
  /** Since when there is no connection; empty where there is, or on another day. */
  const lostAt = ref('')
  let source: EventSource | null = null
  let silence: ReturnType<typeof setTimeout> | undefined
  let again: ReturnType<typeof setTimeout> | undefined

  const look = useThrottleFn(
    async () => {
      const result = await ask('/api/floor/now', { answer: FloorNow })
      if (!result.ok) return
      const [training] = result.value.sessions
      // The first who begins is looked at, whatever part of the day was shown.
      if (training && now.value.sessions.length === 0) showPartOf(training.id)
      now.value = result.value
      // Whoever has begun or is done meanwhile has another place in the day.
      const begun = new Set(result.value.sessions.map(({ id }) => id))
      const isNews = view.value?.sessions.some(({ id, isBegun }) => isBegun !== begun.has(id))
      if (isNews) await refresh()
    },
    LEAST_MS,
    true,
  )
  function heard(): void {
    isLive.value = true
    lostAt.value = ''
    clearTimeout(silence)
    silence = setTimeout(lost, SILENCE_MS)
  }
  function lost(): void {
    if (isLive.value || lostAt.value === '') lostAt.value = clockAt(new Date())
    isLive.value = false
    close()
    again = setTimeout(open, AGAIN_MS)
  }
  function close(): void {
    clearTimeout(silence)
    clearTimeout(again)
    source?.close()
    source = null
  }
  function open(): void {
    close()
    if (on.value !== today.value) {
      isLive.value = false
      lostAt.value = ''
      return
    }
    source = new EventSource('/api/floor/live')
    source.addEventListener('news', () => {
      heard()
      void look()
    })
    source.addEventListener('beat', heard)
    source.addEventListener('error', lost)
  }
  onMounted(() => watch(on, open, { immediate: true }))
  onBeforeUnmount(close)

  /** Another day has no moment. */
  const ofToday = computed(() => (on.value === today.value ? now.value : NOTHING))

  return {
    look,
    now: ofToday,
    isLive,
    lostAt,
    /** What each lane says of the moment. */
    told: computed(
      () =>
        new Map(
          ofToday.value.sessions.map(({ id, done, of, next, lastAt, lastEnds }) => {
            const start = view.value?.sessions.find(one => one.id === id)?.start
            const late =
              start && lastAt && lastEnds !== null
                ? secondsAt(new Date(lastAt)) - secondsOf(start) - lastEnds
                : null
            return [
              id,
              {
                words: done === of ? 'all sets done' : next,
                share: of === 0 ? 0 : done / of,
                pace: late === null ? '' : lateWords(late),
              },
            ]
          }),
        ),
    ),
    pains: computed(() => ofToday.value.pains.map(withClock)),
    wrote: computed(() => ofToday.value.wrote.map(withClock)),
  }
}
