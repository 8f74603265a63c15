import type { PlainDate } from '#core/base'
import type { SheetSession } from '#core/follow/sheet'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { usePhoneSession } from '../phone/usePhoneSession'
import { partName, setName, turnWords } from '../phone/phoneWords'
import { type TogetherSheet, useTogetherSheet } from './useTogetherSheet'

const RETRY_MS = 10_000
const HELD_MS = 500
/** Reps left in reserve that a tap can say; 4 stands for more. */
export const RIR_CHOICES = [0, 1, 2, 3, 4] as const

/** The session of the day that is not finished, else the one that is. */
export function sessionFor(store: TogetherSheet, on: PlainDate): SheetSession | null {
  const own = (store.view?.sessions ?? []).filter(({ session }) => session.on === on)
  return (own.find(({ isFinished }) => !isFinished) ?? own[0])?.session ?? null
}

/** Keeps a client's sheet and the server together while the tablet is open. */
export function useTogetherSync(client: string): TogetherSheet {
  const store = useTogetherSheet(client)
  onMounted(() => void store.open(client))
  const again = () => void store.flush().then(() => store.refresh())
  useEventListener('online', again)
  useEventListener('offline', () => (store.reception = 'none'))
  useIntervalFn(() => {
    if (store.waiting.length > 0 || store.reception === 'none') again()
  }, RETRY_MS)
  return store
}

/** A session in a column: the next set, logged by a tap as planned, its parts opened by a long one. */
export function useColumn(store: TogetherSheet, session: () => SheetSession) {
  const phone = usePhoneSession(
    () => ({ session: session(), entries: store.entriesOf(session().id) }),
    store,
  )
  const isOpen = ref(false)
  async function tapped(): Promise<void> {
    if (isOpen.value || !(await phone.log())) isOpen.value = true
  }
  async function logged(): Promise<void> {
    if (await phone.log()) isOpen.value = false
  }
  const unit = computed(() => phone.movement.value?.scale.unit ?? 'kg')
  const done = computed(() => phone.turns.value.filter(({ state }) => state === 'done').length)
  async function finish(): Promise<void> {
    await store.say(session().id, { kind: 'finish', isRecovered: null, minutes: null, note: '' })
  }
  return {
    phone,
    isOpen,
    tapped,
    logged,
    finish,
    done,
    /** The set that is lit: of what exercise, which part, and what is planned for it. */
    next: computed(() => {
      const { turn, part, hasLoad, amountText, countText, isSeconds, aimRir } = phone
      if (!turn.value || !part.value) return null
      const count = `${countText.value} ${isSeconds.value ? 's' : 'reps'}`
      const load =
        hasLoad.value && amountText.value !== '' ? `${amountText.value} ${unit.value} × ` : ''
      const left = aimRir.value === null ? '' : `, ${aimRir.value} left`
      const { slot } = turn.value
      const exercise = session().exercises.find(one => one.slot === slot)?.name ?? ''
      const name = partName(turn.value, part.value)
      return { exercise, name, words: `${load}${count}${left}` }
    }),
    rows: computed(() =>
      session().exercises.map(({ slot, name }) => {
        const own = phone.turns.value.filter(turn => turn.slot === slot)
        return {
          slot,
          name,
          isNext: phone.turn.value?.slot === slot,
          sets: own.map(turn => ({
            key: `${turn.plan.role} ${turn.plan.number}`,
            name: setName(turn),
            words: turnWords(turn),
            isDone: turn.state === 'done',
          })),
        }
      }),
    ),
    isDone: computed(() => phone.turns.value.length > 0 && phone.turn.value === undefined),
    isFinished: computed(() => phone.standing.value.finish !== null),
  }
}

/** Tells a long press from a short one, on glass and by mouse. */
export function useLongPress(short: () => void, long: () => void) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let isLong = false
  const end = () => clearTimeout(timer)
  return {
    down: () => {
      isLong = false
      timer = setTimeout(() => {
        isLong = true
        long()
      }, HELD_MS)
    },
    up: end,
    click: () => {
      end()
      if (!isLong) short()
    },
  }
}
