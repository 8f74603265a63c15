import { MS_PER_HOUR } from '#core/base'
import { hasSides } from '#core/plan/catalogue'
import { painBySide } from '#core/body/joints'
import type { Levels, LogEntry, LogWord } from '#core/follow/sheet'
import type { SheetView } from '#shared/contracts/sheet'
import { defineStore } from 'pinia'
import { newUuid } from '~/shell/newId'
import { type Aside, type Clash, sheetKeeping } from '~/screens/phone/sheetKeeping'
import type { SheetState } from '~/screens/phone/sheetState'
import { refusedWords } from '~/screens/phone/phoneWords'
import { type SessionEntry, useSheetApi } from '~/screens/phone/useSheetApi'

const BATCH = 50
/** Set aside by the server for the coach to look at; nothing more for the phone to do. */
const SETTLED = new Set(['taken', 'too_old', 'unknown_session'])

/** Whose sheet it is: how the server is asked, where it is kept, and what is said once it can no longer be had. */
export interface SheetSource {
  readonly api: ReturnType<typeof useSheetApi>
  /** The store of the browser it is kept in. */
  readonly base: string
  readonly overWords: string
  /** Whether the browser opens it again by itself. */
  readonly isRemembered: boolean
}

/** A sheet in hand: what was sent, what is said about it, and what of that the server has. */
export function sheetInHand({ api, base, overWords, isRemembered }: SheetSource) {
  const token = ref('')
  const key = ref<string | null>(null)
  const state = shallowRef<SheetState>({ kind: 'opening' })
  const view = shallowRef<SheetView | null>(null)
  const waiting = shallowRef<readonly SessionEntry[]>([])
  const clashes = shallowRef<readonly Clash[]>([])
  const aside = shallowRef<readonly Aside[]>([])
  /** Words about entries the server kept aside. */
  const notices = shallowRef<readonly string[]>([])
  const reception = ref<'unknown' | 'there' | 'none'>('unknown')
  const isSending = ref(false)
  let keeping = sheetKeeping('', base)
  /** Entries this window knows to be with the server. */
  const settled = new Set<string>()
  let current: Promise<void> = Promise.resolve()
  let next: Promise<void> | undefined

  const keep = () => keeping.keepSheet({ key: key.value, view: view.value })

  /** Takes up what is on the phone, then asks for what is new. */
  async function open(link: string): Promise<void> {
    token.value = link
    keeping = sheetKeeping(link, base)
    if (isRemembered) keeping.rememberLast()
    const [kept, queue, unsettled, laidAside] = await Promise.all([
      keeping.sheet(),
      keeping.waiting(),
      keeping.clashes(),
      keeping.aside(),
    ])
    aside.value = laidAside
    key.value = kept.key
    view.value = kept.view
    waiting.value = queue
    clashes.value = unsettled
    if (view.value) state.value = { kind: 'ready' }
    if (key.value) await Promise.all([flush(), refresh()])
    else await enter(null)
  }

  /** Opens the link on this phone, with the PIN where it has one. */
  async function enter(pin: string | null): Promise<void> {
    const opened = await api.open(token.value, pin)
    if (!opened.ok) {
      reception.value = opened.error.kind === 'unreachable' ? 'none' : 'there'
      if (opened.error.kind === 'unreachable')
        state.value = {
          kind: 'unknown',
          words: 'No reception. The sheet needs it once, to get here; then it works without.',
        }
      else if (opened.error.problem === 'wrong-pin' || opened.error.problem === 'too-many-attempts')
        state.value = { kind: 'pin', complaint: opened.error.detail }
      else
        state.value = {
          kind: opened.error.problem === 'link-over' ? 'over' : 'unknown',
          words:
            opened.error.problem === 'not-found'
              ? 'There is no such link. Check that it was copied whole, or ask your coach for a new one.'
              : opened.error.detail,
        }
      return
    }
    if (opened.value.needsPin) {
      state.value = { kind: 'pin', complaint: '' }
      return
    }
    key.value = opened.value.key
    await keep()
    await refresh()
    if (view.value) await keeping.adopt(view.value.client.id)
    await takeUp()
    await flush()
  }

  /** Fetches the sheet anew; without reception the one at hand stays. */
  async function refresh(): Promise<void> {
    if (!key.value) return
    const fetched = await api.sheet(key.value)
    if (fetched.ok) {
      reception.value = 'there'
      view.value = fetched.value
      state.value = { kind: 'ready' }
      await keep()
    } else refused(fetched.error)
  }

  function refused(
    error:
      | { readonly kind: 'unreachable' }
      | { readonly kind: 'refused'; readonly problem: string; readonly detail: string },
  ): void {
    if (error.kind === 'unreachable') {
      reception.value = 'none'
      if (!view.value)
        state.value = {
          kind: 'unknown',
          words: 'No reception. The sheet needs it once, to get here; then it works without.',
        }
      return
    }
    reception.value = 'there'
    if (error.problem === 'link-over' || error.problem === 'not-signed-in')
      state.value = {
        kind: 'over',
        words: error.problem === 'link-over' ? error.detail : overWords,
      }
  }

  /** Says something about a session: at once on the phone, to the server as soon as it can be reached. */
  async function say(session: string, word: LogWord): Promise<void> {
    const entry: SessionEntry = { id: newUuid(), at: new Date().toISOString(), session, word }
    waiting.value = [...waiting.value, entry]
    await keeping.addWaiting(entry)
    void flush()
  }

  /** Sends what waits, in order, one window at a time. Whoever asks while it is under way gets one more turn after it, shared by all who ask. */
  function flush(): Promise<void> {
    if (!key.value || state.value.kind === 'over') return Promise.resolve()
    next ??= current.then(async () => {
      current = (next ?? Promise.resolve()).catch(() => undefined)
      next = undefined
      if (navigator.locks) await navigator.locks.request(`${base}-sending`, sendAll)
      else await sendAll()
    })
    return next
  }

  /** What other windows of this phone have said is taken up; what this one says is never lost to what is still being written. */
  async function takeUp(): Promise<void> {
    const kept = (await keeping.waiting()).filter(({ id }) => !settled.has(id))
    const known = new Set(kept.map(({ id }) => id))
    waiting.value = [
      ...kept,
      ...waiting.value.filter(({ id }) => !known.has(id) && !settled.has(id)),
    ]
  }

  async function sendAll(): Promise<void> {
    isSending.value = true
    let most = BATCH
    try {
      await takeUp()
      while (key.value && waiting.value.length > 0) {
        const batch = waiting.value.slice(0, most)
        const sent = await api.send(key.value, batch)
        if (!sent.ok) {
          if (sent.error.kind !== 'refused' || sent.error.problem !== 'invalid') {
            refused(sent.error)
            return
          }
          // One that cannot be taken holds up nothing: each is judged by itself, and that one laid aside.
          const [only, ...others] = batch
          if (only && others.length === 0) await layAside(only, sent.error.detail)
          most = 1
          continue
        }
        reception.value = 'there'
        await settle(batch, sent.value.results)
      }
      await tellRefused()
    } finally {
      isSending.value = false
    }
  }

  /** What the server cannot take stays on the phone with the reason, until its owner has seen it. */
  async function layAside(entry: SessionEntry, why: string): Promise<void> {
    await keeping.addAside({ entry, why })
    aside.value = await keeping.aside()
    settled.add(entry.id)
    await keeping.removeWaiting(new Set([entry.id]))
    await takeUp()
  }

  /** The coach gets what was laid aside in words, into the client's notes. */
  async function tellRefused(): Promise<void> {
    for (const { entry, why, isTold } of aside.value) {
      if (isTold || !key.value) continue
      const words = refusedWords(entry, view.value)
      const told = await api.tellRefused(key.value, { id: entry.id, at: entry.at, words, why })
      if (told.ok) await keeping.markTold(entry.id)
    }
    aside.value = await keeping.aside()
  }

  async function settle(
    batch: readonly SessionEntry[],
    results: readonly {
      readonly id: string
      readonly outcome: string
      readonly theirs: LogEntry | null
    }[],
  ): Promise<void> {
    const outcomes = new Map(results.map(result => [result.id, result]))
    const taken = batch.filter(({ id }) => outcomes.get(id)?.outcome === 'taken')
    const lost = batch.flatMap(mine => {
      const result = outcomes.get(mine.id)
      return result?.outcome === 'conflict' ? [{ mine, theirs: result.theirs }] : []
    })
    addEntries([
      ...taken,
      ...lost.flatMap(({ mine, theirs }) => (theirs ? [{ ...theirs, session: mine.session }] : [])),
    ])
    if (results.some(({ outcome }) => outcome === 'too_old'))
      notices.value = [
        ...notices.value,
        'That session is more than two weeks old. Your coach has what you logged and will look at it.',
      ]
    for (const entry of batch)
      if (outcomes.get(entry.id)?.outcome === 'unknown_session')
        await layAside(entry, 'The session was taken off your sheet meanwhile.')
    if (lost.length > 0) await keeping.changeClashes(before => [...before, ...lost])
    clashes.value = await keeping.clashes()
    const over = results
      .filter(({ outcome }) => SETTLED.has(outcome) || outcome === 'conflict')
      .map(({ id }) => id)
    over.forEach(id => settled.add(id))
    await keeping.removeWaiting(new Set(over))
    await keep()
    await takeUp()
    // What the server makes of these two is on the sheet: what hurts stops, and what was done moves loads.
    if (batch.some(({ word }) => word.kind === 'pain' || word.kind === 'finish')) void refresh()
  }

  /** Puts what the server has taken where the rest of it is. */
  function addEntries(entries: readonly SessionEntry[]): void {
    if (!view.value || entries.length === 0) return
    view.value = {
      ...view.value,
      sessions: view.value.sessions.map(held => {
        const own = entries
          .filter(
            ({ session, id }) =>
              session === held.session.id && !held.entries.some(entry => entry.id === id),
          )
          .map(({ id, at, word }): LogEntry => ({ id, at, word }))
        return own.length === 0
          ? held
          : {
              ...held,
              entries: [...held.entries, ...own],
              isFinished: held.isFinished || own.some(({ word }) => word.kind === 'finish'),
            }
      }),
    }
  }

  /** What was laid aside has been told: it need not stand here any more. */
  async function forgetAside(id: string): Promise<void> {
    await keeping.removeAside(id)
    aside.value = await keeping.aside()
  }

  /** Settles a clash: one's own value goes over the other, or is given up. */
  async function settleClash({ mine, theirs }: Clash, whose: 'mine' | 'theirs'): Promise<void> {
    await keeping.changeClashes(before => before.filter(clash => clash.mine.id !== mine.id))
    clashes.value = await keeping.clashes()
    if (whose === 'mine' && mine.word.kind === 'set')
      await say(mine.session, { ...mine.word, replaces: theirs?.id ?? null })
  }

  /** Everything said about a session, what waits to be sent last. */
  function entriesOf(session: string): readonly LogEntry[] {
    const sent = view.value?.sessions.find(held => held.session.id === session)?.entries ?? []
    return [...sent, ...waiting.value.filter(entry => entry.session === session)]
  }

  const levels = computed((): Levels => {
    const reports = view.value?.reports ?? []
    const own = waiting.value.flatMap(({ at, word }) =>
      word.kind === 'pain'
        ? word.joints.map(joint => ({
            joint,
            side: hasSides(joint) ? word.side : ('both' as const),
            atHour: Date.parse(at) / MS_PER_HOUR,
            session: word.score,
            hasAlarmSign: word.hasAlarmSign,
          }))
        : [],
    )
    return own.length === 0 ? (view.value?.levels ?? {}) : painBySide([...reports, ...own])
  })

  return {
    token,
    state,
    view,
    waiting,
    clashes,
    notices,
    aside,
    forgetAside,
    reception,
    isSending,
    levels,
    open,
    enter,
    refresh,
    flush,
    say,
    settleClash,
    entriesOf,
  }
}

/** A client's sheet on her phone. */
export const useSheetStore = defineStore('sheet', () =>
  sheetInHand({
    api: useSheetApi(),
    base: 'tholepin-sheet',
    overWords:
      'This link was replaced by a new one. Ask your coach for it; what you logged before is with your coach.',
    isRemembered: true,
  }),
)
