import type { Joint } from '#core/plan/catalogue'
import type { PainLevel } from '#core/plan/method'
import {
  type LogWord,
  minutesSoFar,
  painsSaid,
  sessionStanding,
  turnsOf,
  worseLevel,
} from '#core/follow/sheet'
import { useSessionStorage } from '@vueuse/core'
import { usePhoneHome } from './usePhoneHome'
import { installSheetWorker } from './useSheetWorker'

type Place = 'home' | 'training' | 'finish'

/** Which view of the sheet is open, and what its ends say. */
export function usePhoneSheet(token: () => string) {
  const store = useSheetStore()
  const home = usePhoneHome()
  useSheetSync()
  /** Kept for as long as the window is, so that a reload comes back to the set in hand. */
  const place = useSessionStorage<Place>('tholepin-sheet-place', 'home')
  const openId = useSessionStorage<string>('tholepin-sheet-session', '')
  const open = computed(() => {
    const held = store.view?.sessions.find(({ session }) => session.id === openId.value)
    return held && { session: held.session, entries: store.entriesOf(held.session.id) }
  })

  function show(where: Place, session = openId.value): void {
    openId.value = session
    place.value = where
    window.scrollTo(0, 0)
    if (where === 'training' && open.value && open.value.entries.length === 0)
      void store.say(session, { kind: 'opened' })
  }

  const finishing = computed(() => {
    if (place.value !== 'finish' || !open.value) return null
    const standing = sessionStanding(open.value.entries)
    const turns = turnsOf(open.value.session, standing, store.levels)
    const working = turns.filter(({ plan }) => plan.role !== 'warmup')
    return {
      sets: working.filter(({ state }) => state === 'done').length,
      planned: working.length,
      minutes: minutesSoFar(turns, Date.now()),
      said: painsSaid(open.value.entries),
    }
  })
  async function finish(words: readonly LogWord[]): Promise<void> {
    const session = openId.value
    show('home')
    localStorage.removeItem('tholepin-sheet-rest')
    for (const word of words) await store.say(session, word)
  }

  /** Pain outside a session is said about the one at hand, so that it has a place in the log. */
  const isHurtOpen = ref(false)
  const hurting = reactive({
    isOpen: isHurtOpen,
    tell: (word: LogWord) => {
      const session =
        home.today.value?.id ??
        home.ahead.value[0]?.id ??
        home.done.value[0]?.id ??
        home.left.value[0]?.id
      if (session) void store.say(session, word)
    },
  })
  const soreNotes = computed(() =>
    (
      Object.entries(store.levels) as [Joint, Readonly<Record<'left' | 'right', PainLevel>>][]
    ).flatMap(([joint, { left, right }]) => {
      const level = worseLevel(left, right)
      return level === 'none' || level === 'note' ? [] : [{ joint, level }]
    }),
  )

  const status = computed(() => {
    const kept = store.waiting.filter(({ word }) => word.kind === 'set').length
    const words =
      kept > 0
        ? `${kept} ${kept === 1 ? 'set' : 'sets'} kept on this phone`
        : store.waiting.length > 0
          ? 'What you said is kept on this phone'
          : ''
    if (store.reception === 'none')
      return `No signal. ${words || 'Everything you log is kept on this phone'}`
    return store.state.kind === 'over' && words ? words : ''
  })

  onMounted(async () => {
    await store.open(token())
    if (openId.value && !open.value) place.value = 'home'
    void installSheetWorker()
  })
  return {
    store,
    home,
    open,
    place: readonly(place),
    hurting,
    soreNotes,
    status,
    finishing,
    finish,
    show,
  }
}
