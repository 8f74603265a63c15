import { MS_PER_DAY } from '#core/base'
import { sessionStanding, turnsOf, wayOf } from '#core/follow/sheet'
import { phoneDay, startWords } from './phoneWords'

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

/** What the client hears of a session that is behind. */
export interface NextComes {
  readonly title: string
  readonly lines: readonly string[]
  /** Whether tomorrow is for resting. */
  readonly rest: string
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
          when:
            (word ? word.charAt(0).toUpperCase() + word.slice(1) : phoneDay(held.session.on)) +
            (isFinished || days < 0 ? '' : startWords(held.start)),
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
  /** When a session's end was said; the coach's own word has the time it was written. */
  const endedAt = (session: string) =>
    store.entriesOf(session).findLast(({ word }) => word.kind === 'finish')?.at ?? ''
  /** Of the session done last, what comes next time; a day without a session after it is a day of rest. */
  const comes = computed((): NextComes | null => {
    const last = (store.view?.sessions ?? [])
      .filter(({ next }) => next?.length)
      .map(({ session, next }) => ({ session, next, at: endedAt(session.id) }))
      .sort((a, b) => (a.at < b.at ? -1 : 1))
      .at(-1)
    const isStillToday = open.value.some(({ days }) => days === 0)
    // What is still to be done today comes first, unless this was done today too.
    if (!last?.next || (isStillToday && away(last.at.slice(0, 10)) !== 0)) return null
    const isOneDay = new Set(last.next.map(({ on }) => on)).size === 1
    const isRestDay = !open.value.some(({ days }) => days === 1)
    const following = open.value.find(({ days }) => days > 0)?.entry
    return {
      title: `After ${last.session.name}: next time${isOneDay ? `, ${phoneDay(last.next[0]!.on)}` : ''}`,
      lines: last.next.map(({ on, words }) => (isOneDay ? words : `${words} (${phoneDay(on)})`)),
      rest: [
        isRestDay && !isStillToday ? 'Tomorrow is a day of rest.' : '',
        following ? `${following.name} comes ${following.when.replace(/^Tom/, 'tom')}.` : '',
      ]
        .filter(Boolean)
        .join(' '),
    }
  })
  const others = computed(() => entries.value.filter(({ entry }) => entry.id !== today.value?.id))
  return {
    today,
    comes,
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
