import { addDays, isPlainDate, plainDate } from '#core/base'
import { useMounted, useNow } from '@vueuse/core'
import { dayOn, secondsOf } from '#core/follow/floor'
import { clockAt } from '~/shell/clockAt'
import { floorNotices, floorSumWords } from '#core/words'
import { FloorView } from '#shared/contracts/floor'
import { laneEnd, mostAtOnce } from './floorDay'
import {
  busiest,
  clientLanes,
  dayParts,
  leftOf,
  partOfView,
  scaleOf,
  stationLanes,
} from './floorLanes'

const MINUTE_MS = 60_000

/** A day of the floor: who trains, on which clock, and what there is to look at. */
export function useFloor() {
  const today = useToday()
  const route = useRoute()
  const asked = computed(() => String(route.query.on ?? ''))
  const on = computed(() => (isPlainDate(asked.value) ? plainDate(asked.value) : today.value))
  const { ask } = useApi()
  const failed = useState('floor-failed', () => false)
  const fetched = useAsyncData(
    'floor',
    async () => {
      const result = await ask(`/api/floor?on=${on.value}`, { answer: FloorView })
      failed.value = !result.ok
      return result.ok ? result.value : null
    },
    { watch: [on], deep: false },
  )
  const { data: view, refresh } = fetched
  const day = computed(() => (view.value ? dayOn(view.value) : null))
  const notices = computed(() =>
    view.value && day.value ? floorNotices(view.value, day.value) : [],
  )
  const isLive = useMounted()
  const now = useNow({ interval: MINUTE_MS })
  const parts = computed(() => (view.value && day.value ? dayParts(view.value, day.value) : []))
  const wanted = ref('')
  const part = computed(
    () =>
      parts.value.find(({ id }) => id === wanted.value) ??
      (day.value ? busiest(parts.value, day.value) : undefined),
  )
  /** What is shown: one part of the day. */
  const shown = computed(() =>
    view.value && part.value ? partOfView(view.value, part.value) : null,
  )
  const scale = computed(() => (shown.value && day.value ? scaleOf(shown.value, day.value) : null))
  /** Shows the part of the day a session is in. */
  function showPartOf(session: string): void {
    const found = parts.value.find(({ sessions }) => sessions.includes(session))
    if (found) wanted.value = found.id
  }
  /** Where the present moment lies on the clock; null on another day, outside it, and on the server. */
  const nowLeft = computed(() => {
    if (!isLive.value || !scale.value || on.value !== today.value) return null
    const left = leftOf(secondsOf(clockAt(now.value)), scale.value)
    return left >= 0 && left <= 100 ? left : null
  })
  const goTo = (to: string) =>
    navigateTo({ path: '/floor', query: to === today.value ? {} : { on: to } }, { replace: true })
  return {
    today,
    on,
    /** Once the day is there for the first drawing. */
    ready: fetched,
    view,
    day,
    failed,
    refresh,
    scale,
    nowLeft,
    notices,
    waiting: computed(() => floorSumWords(day.value?.waits ?? [])),
    most: computed(() => (view.value && day.value ? mostAtOnce(view.value, day.value) : 0)),
    parts,
    part,
    shown,
    showPart: (id: string) => (wanted.value = id),
    showPartOf,
    lanes: computed(() =>
      shown.value && day.value && scale.value
        ? clientLanes(shown.value, day.value, scale.value)
        : [],
    ),
    stations: computed(() =>
      view.value && day.value && scale.value
        ? stationLanes(view.value, day.value, scale.value)
        : [],
    ),
    ends: computed(
      () =>
        new Map(
          view.value && day.value
            ? view.value.sessions.map(one => [one.id, laneEnd(one, day.value!)])
            : [],
        ),
    ),
    goTo,
    step: (days: number) => goTo(addDays(on.value, days)),
  }
}

export type FloorPage = ReturnType<typeof useFloor>
