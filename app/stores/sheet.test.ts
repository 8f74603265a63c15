import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { success } from '#core/base'
import type { LogEntry, LogWord } from '#core/follow/sheet'
import type { EntriesAnswer, SheetView } from '#shared/contracts/sheet'
import { placeAt, saidSet, SLOTS, smallSheet } from '../../core/testing/sheets'
import { frameworkWith } from '~/testing/framework'

type Sent = { readonly id: string; readonly session: string; readonly word: LogWord }
type Outcome = 'taken' | 'conflict' | 'too_old' | 'unknown_session'

/** A server that answers phones as it is told to, and keeps what they sent. */
const server = {
  reachable: true,
  refuses: null as null | { problem: string; detail: string },
  /** Fails as a server does whose database is gone. */ fails: false,
  /** What is wrong with an entry, where anything is: then all it came with is refused. */
  wrong: (_: Sent): string | null => null,
  outcome: (_: Sent): Outcome => 'taken',
  theirs: null as LogEntry | null,
  log: [] as Sent[],
  requests: 0,
  half: false,
  /** Takes no words about what was refused. */ isDeaf: false,
  told: [] as { readonly id: string; readonly words: string }[],
}

globalThis.fetch = (async (path: string, { body }: { body?: string } = {}) => {
  server.requests += 1
  if (!server.reachable) throw new TypeError('no reception')
  const answer = (status: number, value: unknown) => ({
    ok: status < 400,
    status,
    json: async () => value,
  })
  if (server.fails) return answer(503, { type: '/problems/away', detail: 'Not to be had.' })
  if (server.refuses)
    return answer(410, {
      type: `/problems/${server.refuses.problem}`,
      detail: server.refuses.detail,
    })
  if (path.endsWith('/open')) return answer(200, { key: 'key', needsPin: false })
  if (path === '/api/sheet/refused') {
    if (server.isDeaf) return answer(503, { type: '/problems/away', detail: 'Not to be had.' })
    server.told.push(JSON.parse(body ?? '{}') as (typeof server.told)[number])
    return answer(200, { isDone: true })
  }
  if (path === '/api/sheet') return answer(200, view())
  const { entries } = JSON.parse(body ?? '{}') as { entries: Sent[] }
  const [bad] = entries.flatMap(entry => server.wrong(entry) ?? [])
  if (bad) return answer(422, { type: '/problems/invalid', detail: bad })
  const results = entries.map(entry => {
    const outcome = server.outcome(entry)
    if (outcome === 'taken' && !server.log.some(({ id }) => id === entry.id)) server.log.push(entry)
    return { id: entry.id, outcome, theirs: outcome === 'conflict' ? server.theirs : null }
  })
  // An answer that gets lost on the way: what was sent is with the server all the same.
  if (server.half)
    return { ok: true, status: 200, json: async () => JSON.parse('{"now":') as unknown }
  return answer(200, { now: '2026-04-06T18:00:00.000Z', results } satisfies EntriesAnswer)
}) as unknown as typeof fetch

function view(): SheetView {
  return {
    client: { id: 'marit', name: 'Marit' },
    coach: { name: 'Ragna', studio: 'Skerrylane' },
    now: '',
    today: '2026-04-06' as never,
    levels: {},
    words: [],
    reports: [],
    sessions: [
      {
        session: smallSheet(),
        entries: server.log.map(({ id, word }) => ({ id, at: '', word })),
        isFinished: false,
      },
    ],
  }
}

// Without locks a window sends by itself; keys keep what two windows say apart.
Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
Object.defineProperty(globalThis, 'localStorage', {
  value: {
    kept: new Map<string, string>(),
    setItem(key: string, value: string) {
      this.kept.set(key, value)
    },
    getItem(key: string) {
      return this.kept.get(key) ?? null
    },
  },
})
frameworkWith(() => success(null))
const { useSheetStore } = await import('./sheet')
const { createPinia, setActivePinia } = await import('pinia')

let links = 0
/** A phone that has just opened a link, or opens one again. */
async function phone(token = `link-${++links}`) {
  setActivePinia(createPinia())
  const store = useSheetStore()
  await store.open(token)
  return { store, token }
}
const settled = async (is: () => boolean) => {
  for (let tries = 0; tries < 200 && !is(); tries++)
    await new Promise(resolve => setTimeout(resolve, 5))
  expect(is()).toBe(true)
}
const set = (number: number, reps = 10) => saidSet(placeAt(SLOTS[0], number), 20, reps)

beforeEach(
  () =>
    void Object.assign(server, {
      reachable: true,
      refuses: null,
      outcome: () => 'taken',
      theirs: null,
      log: [],
      requests: 0,
      half: false,
      fails: false,
      wrong: () => null,
      isDeaf: false,
      told: [],
    }),
)

describe('what a client says reaches the server once and in order', () => {
  test('at once, with reception', async () => {
    const { store } = await phone()
    expect(store.state.kind).toBe('ready')
    await store.say('session', set(1))
    await settled(() => server.log.length === 1 && store.waiting.length === 0)
    expect(store.entriesOf('session')).toHaveLength(1)
  })
  test('without reception it waits, survives a restart, and goes out in order', async () => {
    const { store, token } = await phone()
    server.reachable = false
    for (const number of [1, 2, 3]) await store.say('session', set(number))
    await settled(() => store.reception === 'none')
    expect(store.waiting).toHaveLength(3)
    const { store: again } = await phone(token)
    expect(again.state.kind).toBe('ready')
    expect(again.entriesOf('session')).toHaveLength(3)
    server.reachable = true
    await again.flush()
    expect(server.log.map(({ word }) => word.kind === 'set' && word.place.set)).toEqual([1, 2, 3])
    expect(again.waiting).toHaveLength(0)
  })
  test('an answer that gets lost makes no second set', async () => {
    const { store } = await phone()
    server.half = true
    await store.say('session', set(1))
    await settled(() => store.reception === 'none')
    expect(store.waiting).toHaveLength(1)
    server.half = false
    await store.flush()
    expect(server.log).toHaveLength(1)
    expect(store.waiting).toHaveLength(0)
  })
  test('more than one request holds go out in several, none left behind', async () => {
    const { store } = await phone()
    server.reachable = false
    for (let number = 1; number <= 70; number++) await store.say('session', set(number))
    server.reachable = true
    await store.flush()
    expect(server.log).toHaveLength(70)
    expect(new Set(server.log.map(({ id }) => id)).size).toBe(70)
  })
})

describe('what the server does not take as it is', () => {
  test('another value stands there: both are kept, and either can be chosen', async () => {
    const { store } = await phone()
    server.theirs = { id: 'theirs', at: '', word: set(1, 8) }
    server.outcome = () => 'conflict'
    await store.say('session', set(1, 12))
    await settled(() => store.clashes.length === 1 && store.waiting.length === 0)
    expect(store.waiting).toHaveLength(0)
    expect(store.entriesOf('session').map(({ id }) => id)).toEqual(['theirs'])
    server.outcome = () => 'taken'
    await store.settleClash(store.clashes[0]!, 'mine')
    await settled(() => server.log.length === 1)
    expect(server.log[0]?.word).toMatchObject({ replaces: 'theirs', done: { reps: 12 } })
    expect(store.clashes).toHaveLength(0)
  })
  test('what is said two weeks late is told and not sent again', async () => {
    const { store } = await phone()
    server.outcome = () => 'too_old'
    await store.say('session', set(1))
    await settled(() => store.notices.length === 1 && store.waiting.length === 0)
    expect(store.notices[0]).toMatch(/more than two weeks old/)
  })
  test('what was said of a session that is gone stays on the phone and goes to the coach in words, once', async () => {
    const { store } = await phone()
    server.outcome = () => 'unknown_session'
    server.isDeaf = true
    await store.say('session', set(1))
    await settled(() => store.aside.length === 1 && store.waiting.length === 0)
    expect(store.aside[0]).toMatchObject({ why: 'The session was taken off your sheet meanwhile.' })
    expect(store.aside[0]?.isTold).toBeUndefined()
    server.isDeaf = false
    await store.flush()
    await store.flush()
    expect(store.aside[0]?.isTold).toBe(true)
    expect(server.told).toMatchObject([
      { words: expect.stringMatching(/Cable curl, set 1: 20 × 10$/) },
    ])
  })
  test('one that cannot be taken is laid aside with its reason, kept over a reload, and the rest goes on', async () => {
    const { store } = await phone()
    server.reachable = false
    await store.say('session', set(1))
    await store.say('session', set(2, 1e12))
    await store.say('session', set(3))
    server.wrong = ({ word }) =>
      JSON.stringify(word).includes('1000000000000') ? 'count is too large.' : null
    server.reachable = true
    await store.flush()
    expect(server.log.map(({ word }) => word.kind === 'set' && word.place.set)).toEqual([1, 3])
    expect(store.waiting).toHaveLength(0)
    await store.open(store.token)
    expect(store.aside).toMatchObject([
      { entry: { word: { place: { set: 2 } } }, why: 'count is too large.' },
    ])
    await store.forgetAside(store.aside[0]!.entry.id)
    expect(store.aside).toHaveLength(0)
  })
  test('a server without its records has taken nothing: what waits is sent again', async () => {
    const { store } = await phone()
    server.fails = true
    await store.say('session', set(1))
    await settled(() => store.reception === 'none')
    expect(store.waiting).toHaveLength(1)
    server.fails = false
    await store.flush()
    expect([server.log.length, store.waiting.length]).toEqual([1, 0])
  })
  test('a link taken back: what waits stays, and the next link of the same client sends it', async () => {
    const { store } = await phone()
    server.refuses = { problem: 'link-over', detail: 'This link was withdrawn.' }
    await store.say('session', set(1))
    await settled(() => store.state.kind === 'over')
    expect(store.waiting).toHaveLength(1)
    server.refuses = null
    const { store: next } = await phone()
    expect(server.log).toHaveLength(1)
    expect(next.waiting).toHaveLength(0)
  })
})

test('pain is judged on the phone before anybody hears of it', async () => {
  const { store } = await phone()
  server.reachable = false
  await store.say('session', {
    kind: 'pain',
    joints: ['elbow_flexor_side'],
    side: 'left',
    score: 8,
    hasAlarmSign: false,
  })
  expect(store.levels).toEqual({ elbow_flexor_side: { left: 'stop', right: 'none' } })
})

test('without reception a link cannot be opened for the first time, and says so', async () => {
  server.reachable = false
  const { store } = await phone()
  expect(store.state).toMatchObject({
    kind: 'unknown',
    words: expect.stringContaining('needs it once'),
  })
})
