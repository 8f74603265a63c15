import { MS_PER_DAY } from '#core/base'
import { sessionStanding, turnsOf, wayOf } from '#core/follow/sheet'
import { phoneDay } from './phoneWords'

/** A session in the list of the phone's first view. */
export interface PhoneEntry {
  readonly id: string
  readonly name: string
  readonly when: string
  readonly words: string
  readonly isBegun: boolean
  readonly preparation: readonly string[]
  readonly lines: readonly {
    readonly letter: string
    readonly name: string
    readonly sets: string
  }[]
}

const DAYS = { yesterday: -1, today: 0, tomorrow: 1 } as const
const MOST = { done: 3, ahead: 6, left: 3 } as const

/** Sessions of the sheet by what they are to a client now. Today is the phone's own day. */
export function usePhoneHome() {
  const store = useSheetStore()
  const away = (on: string) => {
    const now = new Date()
    return Math.round(
      (Date.parse(`${on}T00:00:00Z`) - Date.UTC(now.getFullYear(), now.getMonth(), now.getDate())) /
        MS_PER_DAY,
    )
  }
  const entries = computed(() =>
    (store.view?.sessions ?? []).map(held => {
      const standing = sessionStanding(store.entriesOf(held.session.id))
      const turns = turnsOf(held.session, standing, store.levels)
      const working = turns.filter(({ plan }) => plan.role !== 'warmup')
      const done = working.filter(({ state }) => state === 'done').length
      const days = away(held.session.on)
      const word = Object.entries(DAYS).find(([, at]) => at === days)?.[0]
      const isFinished = held.isFinished || standing.finish !== null
      return {
        days,
        isFinished,
        entry: {
          id: held.session.id,
          name: held.session.name,
          isBegun: done > 0,
          preparation: held.session.preparation,
          when: word ? word.charAt(0).toUpperCase() + word.slice(1) : phoneDay(held.session.on),
          words:
            isFinished && done === 0
              ? 'done'
              : isFinished || done > 0
                ? `${done} of ${working.length} sets done`
                : (wayOf(held.session, standing).words.split('.')[0] ?? ''),
          lines: held.session.exercises.map(({ letter, name, slot }) => ({
            letter,
            name,
            sets: `${working.filter(turn => turn.slot === slot).length} sets`,
          })),
        } satisfies PhoneEntry,
      }
    }),
  )
  const open = computed(() => entries.value.filter(({ isFinished }) => !isFinished))
  /** Today's, or one that was begun and is not finished. */
  const today = computed(
    () =>
      (
        open.value.find(({ entry, days }) => entry.isBegun && days >= -1 && days <= 1) ??
        open.value.find(({ days }) => days === 0)
      )?.entry ?? null,
  )
  const others = computed(() => entries.value.filter(({ entry }) => entry.id !== today.value?.id))
  return {
    today,
    left: computed(() =>
      others.value
        .filter(({ days, isFinished }) => days < 0 && !isFinished)
        .map(({ entry }) => entry)
        .slice(-MOST.left),
    ),
    ahead: computed(() =>
      others.value
        .filter(({ days, isFinished }) => days >= 0 && !isFinished)
        .map(({ entry }) => entry)
        .slice(0, MOST.ahead),
    ),
    done: computed(() =>
      others.value
        .filter(({ isFinished }) => isFinished)
        .map(({ entry }) => entry)
        .reverse()
        .slice(0, MOST.done),
    ),
  }
}
