import { formatSets, NBSP } from '#core/words'
import {
  type DonePart,
  type LogEntry,
  type LogWord,
  movementOf,
  numberSentence,
  parsedNumber,
  placeKey,
  prefillOf,
  sessionStanding,
  type SetPlace,
  type SheetMovement,
  turnsOf,
} from '#core/follow/sheet'
import { EntriesAnswer } from '#shared/contracts/sheet'
import { type SessionLog, SessionLogAnswer, type ToldEntry } from '#shared/contracts/log'
import { newUuid } from '~/shell/newId'

/** An earlier or other value of a place, with who said it. */
export interface OtherValue {
  readonly key: string
  readonly words: string
  readonly by: string
  readonly at: string
  /** Kept aside: the coach may take it. */ readonly isAside: boolean
  readonly done: DonePart
}

/** One line to fill in: a set, or a part of one. */
export interface LogLine {
  readonly key: string
  readonly place: SetPlace
  readonly name: string
  readonly planned: string
  readonly hasLoad: boolean
  readonly isSeconds: boolean
  /** What the fields hold, and what they would be as planned. */
  readonly load: string
  readonly count: string
  readonly rir: string
  readonly usual: { readonly load: string; readonly count: string; readonly rir: string }
  readonly state: 'empty' | 'done'
  readonly others: readonly OtherValue[]
  readonly movement: SheetMovement
}

export interface LogBlock {
  readonly slot: string
  readonly letter: string
  readonly name: string
  readonly planned: string
  readonly swappedFrom: string
  readonly isSkipped: boolean
  readonly lines: readonly LogLine[]
}

const BASE = 'base'
const AUTHORS = { client: 'client', coach: 'you', import: 'as it came in' } as const
const ASIDE_WORDS = {
  conflict: 'from another phone',
  too_old: 'sent late',
  unknown_session: '',
  taken: '',
} as const
const figure = (value: number | null | undefined) =>
  value === null || value === undefined ? '' : formatSets(value)

function wordsOf({ load, reps, seconds, rir, isRirOpen }: DonePart): string {
  const count = reps ?? seconds
  return [
    load ? `${formatSets(load.amount)}${NBSP}${load.unit}` : '',
    count === null ? '' : `${load ? '× ' : ''}${formatSets(count)}${seconds === null ? '' : ' s'}`,
    rir === null ? '' : `${formatSets(rir)}${isRirOpen ? ' or more' : ''} left`,
  ]
    .filter(Boolean)
    .join(' ')
}

function timeOf(at: string): string {
  return new Date(at).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
}

const isSet = (
  entry: LogEntry,
): entry is LogEntry & { readonly word: Extract<LogWord, { kind: 'set' }> } =>
  entry.word.kind === 'set'

export interface LineFields {
  readonly load: string
  readonly count: string
  readonly rir: string
}

/** The numbers of a line's fields, empty ones as planned; a complaint where one is none. */
function readFields(
  line: LogLine,
  fields: LineFields,
):
  { readonly amount: number | null; readonly count: number; readonly rir: number | null } | string {
  const text = {
    load: fields.load.trim() || line.usual.load,
    count: fields.count.trim() || line.usual.count,
    rir: (fields.rir.trim() || line.usual.rir).replace('+', ''),
  }
  const amount = line.hasLoad && text.load !== '' ? parsedNumber(text.load, 'load') : null
  if (amount && !amount.ok) return numberSentence(amount.error, 'load')
  const field = line.isSeconds ? 'seconds' : 'reps'
  const count = parsedNumber(text.count, field)
  if (!count.ok) return numberSentence(count.error, field)
  const rir = text.rir === '' ? null : parsedNumber(text.rir, 'rir')
  if (rir && !rir.ok) return numberSentence(rir.error, 'rir')
  return { amount: amount?.value ?? null, count: count.value, rir: rir?.value ?? null }
}

/** What a session was to be beside what it was, with its fields for entering and putting right. */
export function useSessionLog(clientId: string, sessionId: () => string | null) {
  const { ask } = useApi()
  const log = shallowRef<SessionLog | null>(null)
  const state = ref<'loading' | 'ready' | 'saving' | 'failed'>('loading')
  const complaints = shallowRef<ReadonlyMap<string, string>>(new Map())
  const notice = ref('')

  async function load(): Promise<void> {
    const id = sessionId()
    if (!id) {
      state.value = 'ready'
      return
    }
    const result = await ask(`/api/clients/${clientId}/sessions/${id}/log`, {
      answer: SessionLogAnswer,
    })
    if (sessionId() !== id) return
    if (result.ok) log.value = result.value
    state.value = result.ok ? 'ready' : 'failed'
  }
  watch(sessionId, () => {
    log.value = null
    state.value = 'loading'
    complaints.value = new Map()
    notice.value = ''
    void load()
  })
  onMounted(load)

  const base = computed(() =>
    (log.value?.base ?? []).map((word, at): LogEntry => ({
      id: `${BASE} ${at}`,
      at: log.value?.finish?.at ?? '',
      word,
    })),
  )
  const standing = computed(() =>
    sessionStanding([
      ...base.value,
      ...(log.value?.entries ?? []).filter(({ outcome }) => outcome === 'taken'),
    ]),
  )
  const turns = computed(() => (log.value ? turnsOf(log.value.session, standing.value) : []))

  /** Everything ever said about a place but what stands there now, the latest first. */
  function othersAt(key: string, standingId: string | undefined): readonly OtherValue[] {
    const told: readonly ToldEntry[] = log.value?.entries ?? []
    const earlier = base.value
      .filter(isSet)
      .filter(({ word, id }) => placeKey(word.place) === key && id !== standingId)
      .map(({ word, id, at }) => ({
        key: id,
        words: wordsOf(word.done),
        by: 'client',
        at: at && timeOf(at),
        isAside: false,
        done: word.done,
      }))
    const said = told
      .filter(
        (entry): entry is ToldEntry & { readonly word: Extract<LogWord, { kind: 'set' }> } =>
          entry.word.kind === 'set',
      )
      .filter(({ word, id }) => placeKey(word.place) === key && id !== standingId)
      .map(({ id, word, author, at, outcome }) => ({
        key: id,
        words: wordsOf(word.done),
        by: [AUTHORS[author], ASIDE_WORDS[outcome]].filter(Boolean).join(', '),
        at: timeOf(at),
        isAside: outcome !== 'taken',
        done: word.done,
      }))
    return [...earlier, ...said].reverse()
  }

  const blocks = computed((): readonly LogBlock[] => {
    const session = log.value?.session
    if (!session) return []
    const planned = session.exercises.map((exercise): LogBlock => {
      const movement = movementOf(exercise, standing.value)
      const own = turns.value.filter(({ slot }) => slot === exercise.slot)
      return {
        slot: exercise.slot,
        letter: exercise.letter,
        name: movement.name,
        swappedFrom: movement.exercise === exercise.exercise ? '' : exercise.name,
        isSkipped: standing.value.skipped.has(exercise.slot),
        planned: `${own.filter(({ plan }) => plan.role !== 'warmup').length} sets`,
        lines: own.flatMap(turn =>
          turn.parts.map(({ part, place, standing: held }, at): LogLine => {
            const usual = prefillOf(turn, at, turns.value, movement)
            const key = placeKey(place)
            const side = part.side === null ? '' : part.side === 'left' ? ' L' : ' R'
            const name = `${turn.plan.role === 'warmup' ? 'warm-up ' : ''}${turn.plan.number}${part.stage > 1 ? `, part ${part.stage}` : ''}${side}`
            return {
              key,
              place,
              name,
              movement,
              planned: part.words,
              hasLoad: part.kind === 'work' && part.load.kind !== 'none',
              isSeconds: part.kind === 'hold' || movement.countUnit === 'seconds',
              state: held ? 'done' : 'empty',
              load: figure(held?.done.load?.amount),
              count: figure(held?.done.reps ?? held?.done.seconds),
              rir: held?.done.isRirOpen ? '4+' : figure(held?.done.rir),
              usual: {
                load: figure(usual.amount),
                count: figure(usual.count),
                rir: figure(usual.rir),
              },
              others: othersAt(key, held?.entry),
            }
          }),
        ),
      }
    })
    return [
      ...planned,
      ...unplanned(new Set(planned.flatMap(({ lines }) => lines.map(({ key }) => key)))),
    ]
  })

  /** What was done besides the plan: sets of exercises nobody prescribed. */
  function unplanned(known: ReadonlySet<string>): readonly LogBlock[] {
    const words = base.value
      .concat(log.value?.entries.filter(({ outcome }) => outcome === 'taken') ?? [])
      .filter(isSet)
      .filter(
        ({ word }) =>
          !known.has(placeKey(word.place)) && standing.value.done.get(placeKey(word.place)),
      )
    const byExercise = new Map<string, (typeof words)[number]['word'][]>()
    for (const { word } of words)
      byExercise.set(word.done.exercise, [...(byExercise.get(word.done.exercise) ?? []), word])
    return [...byExercise].map(([exercise, own]) => ({
      slot: exercise,
      letter: '+',
      name: exercise.replaceAll('_', ' '),
      planned: 'not in the plan',
      swappedFrom: '',
      isSkipped: false,
      lines: own.map(({ place, done }): LogLine => ({
        key: placeKey(place),
        place,
        name: `${place.set}${place.stage > 1 ? `, part ${place.stage}` : ''}`,
        planned: '',
        hasLoad: true,
        isSeconds: done.seconds !== null,
        state: 'done',
        load: figure(done.load?.amount),
        count: figure(done.reps ?? done.seconds),
        rir: done.isRirOpen ? '4+' : figure(done.rir),
        usual: { load: '', count: '', rir: '' },
        others: othersAt(placeKey(place), standing.value.done.get(placeKey(place))?.entry),
        movement: {
          exercise: done.exercise,
          intent: done.intent,
          name: exercise,
          how: '',
          cautions: [],
          countUnit: done.seconds === null ? 'reps' : 'seconds',
          scale: { unit: done.load?.unit ?? 'kg', grid: { kind: 'none' }, words: '' },
          stress: {},
          last: null,
        },
      })),
    }))
  }

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
      notice.value =
        result.error.kind === 'unreachable'
          ? 'Not saved. The server does not answer; what you typed is still here. Try again.'
          : result.error.problem.detail
      return false
    }
    const late = result.value.results.some(({ outcome }) => outcome === 'conflict')
    notice.value = late
      ? 'Somebody logged this set meanwhile. Both values are shown; take the one that is right.'
      : ''
    await load()
    return !late
  }

  /** What stands at a line, for the server to know what is replaced; what came without entries has none. */
  function standingAt(line: LogLine): string | null {
    const held = standing.value.done.get(line.key)
    return !held || held.entry.startsWith(BASE) ? null : held.entry
  }

  /** What a line's fields say, as a word for the log; a complaint where a number is none. */
  function wordOf(line: LogLine, fields: LineFields): LogWord | string {
    const numbers = readFields(line, fields)
    if (typeof numbers === 'string') return numbers
    const { amount, count, rir } = numbers
    return {
      kind: 'set',
      place: line.place,
      replaces: standingAt(line),
      done: {
        exercise: line.movement.exercise,
        intent: line.movement.intent,
        load: amount === null ? null : { amount, unit: line.movement.scale.unit },
        reps: line.isSeconds ? null : count,
        seconds: line.isSeconds ? count : null,
        rir,
        isRirOpen: fields.rir.includes('+'),
      },
    }
  }

  /** Saves lines with what their fields hold; empty fields are as planned. Nothing goes out while one of them is no number. */
  async function save(lines: readonly (readonly [LogLine, LineFields])[]): Promise<boolean> {
    const words = lines.map(([line, fields]) => [line.key, wordOf(line, fields)] as const)
    const wrong = words.flatMap(([key, word]) =>
      typeof word === 'string' ? [[key, word] as const] : [],
    )
    complaints.value = new Map(wrong)
    return (
      wrong.length === 0 &&
      send(words.flatMap(([, word]) => (typeof word === 'string' ? [] : [word])))
    )
  }
  const asPlanned = (lines: readonly LogLine[]) =>
    save(
      lines
        .filter(({ state: of, usual }) => of === 'empty' && usual.count !== '')
        .map(line => [line, { load: '', count: '', rir: '' }] as const),
    )
  /** Takes a value that was kept aside, or an earlier one back. */
  function take(line: LogLine, { done }: OtherValue): Promise<boolean> {
    return send([{ kind: 'set', place: line.place, done, replaces: standingAt(line) }])
  }
  async function clear(line: LogLine): Promise<void> {
    await send([{ kind: 'clear', place: line.place, replaces: standingAt(line) }])
  }
  const finish = (word: Omit<Extract<LogWord, { kind: 'finish' }>, 'kind'>) =>
    send([{ kind: 'finish', ...word }])

  const pains = computed(() =>
    (log.value?.entries ?? [])
      .filter(
        (entry): entry is ToldEntry & { readonly word: Extract<LogWord, { kind: 'pain' }> } =>
          entry.word.kind === 'pain',
      )
      .map(({ id, word, at }) => ({ id, ...word, at: timeOf(at) })),
  )
  const notes = computed(() =>
    standing.value.notes.map(({ slot, text }) => ({
      text,
      about: blocks.value.find(block => block.slot === slot)?.name ?? '',
    })),
  )
  const clockOff = computed(() =>
    Math.max(
      0,
      ...(log.value?.entries ?? []).map(({ clockOffSeconds }) => Math.abs(clockOffSeconds)),
    ),
  )
  return {
    log,
    state: readonly(state),
    complaints,
    notice: readonly(notice),
    blocks,
    pains,
    notes,
    clockOff,
    save,
    asPlanned,
    take,
    clear,
    finish,
    load,
  }
}
