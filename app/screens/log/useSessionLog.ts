import { mayBeClosed } from '#core/body/log'
import { type LogWord, moreSaidIn, type SetPlace } from '#core/follow/sheet'
import { FELT_WORDS, moreSaidWords, tooEarlyWords } from '#core/words'
import { EntriesAnswer } from '#shared/contracts/sheet'
import { type SessionLog, SessionLogAnswer } from '#shared/contracts/log'
import { newUuid } from '~/shell/newId'
import {
  entryAt,
  type LineFields,
  logBlocks,
  type LogLine,
  NOTHING_TYPED,
  type OtherValue,
  painsIn,
  standingLog,
} from './logLines'
import { wordsOf } from './logWords'

const UNREACHABLE =
  'Not saved. The server does not answer; what you typed is still here. Try again.'
const LATE =
  'Somebody logged this set meanwhile. Both values are shown; take the one that is right.'

/** The log of the chosen session as the server has it. */
function useLoadedLog(clientId: string, sessionId: () => string | null) {
  const { ask } = useApi()
  const log = shallowRef<SessionLog | null>(null)
  const state = ref<'loading' | 'ready' | 'saving' | 'failed'>('loading')
  let asked = 0

  async function load(): Promise<void> {
    const id = sessionId()
    // Two sets saved one right after the other ask twice; only what was asked last knows of both.
    const own = ++asked
    if (!id) {
      state.value = 'ready'
      return
    }
    const result = await ask(`/api/clients/${clientId}/sessions/${id}/log`, {
      answer: SessionLogAnswer,
    })
    if (own !== asked) return
    if (result.ok) log.value = result.value
    state.value = result.ok ? 'ready' : 'failed'
  }
  watch(sessionId, () => {
    log.value = null
    state.value = 'loading'
    void load()
  })
  onMounted(load)
  return { log, state, load }
}

/** What a session was to be beside what it was, with its fields for entering and putting right. */
export function useSessionLog(clientId: string, sessionId: () => string | null) {
  const { ask } = useApi()
  const today = useToday()
  const { log, state, load } = useLoadedLog(clientId, sessionId)
  const complaints = shallowRef<ReadonlyMap<string, string>>(new Map())
  const notice = ref('')
  watch(sessionId, () => {
    complaints.value = new Map()
    notice.value = ''
  })
  const held = computed(() => (log.value ? standingLog(log.value) : null))
  const blocks = computed(() => (held.value ? logBlocks(held.value) : []))

  async function send(words: readonly LogWord[]): Promise<boolean> {
    const id = sessionId()
    if (!id || words.length === 0) return false
    state.value = 'saving'
    const now = new Date().toISOString()
    const result = await ask(`/api/clients/${clientId}/sessions/${id}/entries`, {
      method: 'POST',
      body: {
        sentAt: now,
        entries: words.map(word => ({ id: newUuid(), session: id, at: now, word })),
      },
      answer: EntriesAnswer,
    })
    if (!result.ok) {
      state.value = 'ready'
      notice.value = result.error.kind === 'unreachable' ? UNREACHABLE : result.error.problem.detail
      return false
    }
    const isLate = result.value.results.some(({ outcome }) => outcome === 'conflict')
    notice.value = isLate ? LATE : ''
    await load()
    return !isLate
  }

  const replacedAt = (place: SetPlace) => (held.value ? entryAt(held.value, place) : null)

  /** What the client said of the session besides; it stays when the coach puts its end right. */
  const moreSaid = computed(() => moreSaidIn(held.value?.standing.finish))

  /** Saves lines with what their fields hold; empty fields are as planned. Nothing goes out while one of them is no number. */
  async function save(lines: readonly (readonly [LogLine, LineFields])[]): Promise<boolean> {
    const read = lines.map(
      ([line, fields]) => [line.key, wordsOf(line, fields, replacedAt)] as const,
    )
    const words = read.flatMap(([, said]) => (typeof said === 'string' ? [] : said))
    complaints.value = new Map(
      read.flatMap(([key, said]) => (typeof said === 'string' ? [[key, said] as const] : [])),
    )
    return complaints.value.size === 0 && send(words)
  }
  const asPlanned = (lines: readonly LogLine[]) =>
    save(
      lines
        .filter(({ state: of, usual }) => of === 'empty' && usual.count !== '')
        .map(line => [line, NOTHING_TYPED] as const),
    )
  /** Takes a value that was kept aside, or an earlier one back. */
  const take = (line: LogLine, { done }: OtherValue) =>
    send([{ kind: 'set', place: line.place, done, replaces: replacedAt(line.place) }])
  const clear = (line: LogLine) =>
    send([{ kind: 'clear', place: line.place, replaces: replacedAt(line.place) }])
  const finish = (word: Omit<Extract<LogWord, { kind: 'finish' }>, 'kind'>) =>
    send([{ kind: 'finish', ...moreSaid.value, ...word }])

  const nameOfSlot = (slot: string | null) =>
    blocks.value.find(block => block.slot === slot)?.name ?? ''
  const clocksOff = computed(() =>
    (log.value?.entries ?? []).map(({ clockOffSeconds }) => Math.abs(clockOffSeconds)),
  )
  return {
    log,
    state: readonly(state),
    complaints,
    notice: readonly(notice),
    blocks,
    pains: computed(() => (log.value ? painsIn(log.value) : [])),
    notes: computed(() =>
      (held.value?.standing.notes ?? []).map(({ slot, text }) => ({
        text,
        about: nameOfSlot(slot),
      })),
    ),
    /** `Hammer curl felt in the forearms`, and how the session was. */
    said: computed(() =>
      [
        ...[...(held.value?.standing.felt ?? [])].map(
          ([slot, where]) => `${nameOfSlot(slot)} felt ${FELT_WORDS[where].told}`,
        ),
        moreSaidWords(moreSaid.value),
      ].filter(Boolean),
    ),
    /** Why the session cannot be closed yet; empty where it can. */
    tooEarly: computed(() => {
      const on = log.value?.session.on
      return on && !mayBeClosed({ on }, today.value) ? tooEarlyWords(on) : ''
    }),
    clockOff: computed(() => Math.max(0, ...clocksOff.value)),
    save,
    asPlanned,
    take,
    clear,
    finish,
    load,
  }
}
