import { beforeEach, describe, expect, test } from '@jest/globals'
import * as vue from 'vue'
import { exerciseId, plainDate } from '#core/base'
import type { LogWord } from '#core/follow/sheet'
import type { ReportedEntry, SessionLog } from '#shared/contracts/log'
import { part, placeAt, saidSet, sheetSet, SLOTS, smallSheet } from '../../../core/testing/sheets'
import { type Asked, frameworkWith, provideGlobally } from '~/testing/framework'

const [A, B] = SLOTS
let entries = 0
const reported = (word: LogWord, more: Partial<ReportedEntry> = {}): ReportedEntry => ({
  id: `entry-${++entries}`,
  at: '2026-04-06T17:30:00.000Z',
  word,
  author: 'client',
  outcome: 'taken',
  clockOffSeconds: 0,
  ...more,
})
const logWith = (
  said: readonly ReportedEntry[],
  base: SessionLog['base'] = [],
  session = smallSheet(),
): SessionLog => ({ session, base, entries: said, finish: null })

/** What the server has; each question is held until a test lets its answer through. */
const server = { log: logWith([]), isSlow: false, refuses: null as unknown, outcome: 'taken' }
let held: (() => void)[] = []

type Body = { readonly entries: readonly { readonly id: string; readonly word: LogWord }[] }
async function answering({ path, method, body }: Asked) {
  if (method === 'GET') {
    const value = server.log
    if (server.isSlow) await new Promise<void>(resolve => held.push(resolve))
    return server.refuses ?? { ok: true, value }
  }
  expect(path).toMatch(/\/entries$/)
  if (server.refuses) return server.refuses
  const said = (body as Body).entries
  if (server.outcome === 'taken')
    server.log = {
      ...server.log,
      entries: [
        ...server.log.entries,
        ...said.map(({ id, word }) => reported(word, { id, author: 'coach' })),
      ],
    }
  const results = said.map(({ id }) => ({ id, outcome: server.outcome, theirs: null }))
  return { ok: true, value: { now: '2026-04-06T18:00:00.000Z', results } }
}

async function opened(log: SessionLog) {
  Object.assign(server, { log, isSlow: false, refuses: null, outcome: 'taken' })
  held = []
  const asked = frameworkWith(answering)
  const mounted: (() => unknown)[] = []
  provideGlobally({
    onMounted: (work: () => unknown) => mounted.push(work),
    useToday: () => vue.ref('2026-04-06'),
  })
  const { useSessionLog } = await import('./useSessionLog')
  const chosen = vue.ref<string | null>('session')
  const of = useSessionLog('marit', () => chosen.value)
  await Promise.all(mounted.map(work => work()))
  const lines = () => of.blocks.value.flatMap(block => block.lines)
  return { of, asked, chosen, lines, line: (at: number) => lines()[at]! }
}
type Opened = Awaited<ReturnType<typeof opened>>
const fields = (load: string, count: string, rir: string) => ({ load, count, rir })
const lastWords = ({ asked }: Opened) =>
  (asked.at(-2)!.body as Body).entries.map(({ word }) => word)

describe('what is shown', () => {
  test('a session nobody trained: every set empty, with what it would be as planned', async () => {
    const { of, lines } = await opened(logWith([]))
    expect(of.state.value).toBe('ready')
    expect(of.blocks.value.map(({ letter, name, planned }) => [letter, name, planned])).toEqual([
      ['1', 'Cable curl', '3 sets'],
      ['1', 'Cable curl', '3 sets'],
    ])
    expect(lines().map(({ name }) => name)).toEqual(['1', '2', '3', '1', '2', '3'])
    expect(lines()[0]).toMatchObject({
      state: 'empty',
      ...fields('', '', ''),
      usual: fields('20', '10', '1'),
    })
  })

  test('parts, sides and warm-ups have names of their own', async () => {
    const drop = sheetSet(1, [part(), part({ stage: 2 })])
    const sides = sheetSet(2, [part({ side: 'left' }), part({ side: 'right' })])
    const session = smallSheet([[sheetSet(1, [part()], 'warmup'), drop, sides]])
    const { of, lines } = await opened(logWith([], [], session))
    expect(lines().map(({ name }) => name)).toEqual(['warm-up 1', '1', '1, part 2', '2 L', '2 R'])
    expect(of.blocks.value[0]?.planned).toBe('2 sets')
  })

  test.each([
    [saidSet(placeAt(A, 1), 22.5, 9), fields('22.5', '9', '1')],
    [saidSet(placeAt(A, 1), null, 0), fields('', '0', '1')],
    [
      { ...saidSet(placeAt(A, 1)), done: { ...saidSet(placeAt(A, 1)).done, isRirOpen: true } },
      fields('20', '10', '4+'),
    ],
  ])('a set as it was done: %#', async (word, shown) => {
    const { line } = await opened(logWith([reported(word)]))
    expect(line(0)).toMatchObject({ state: 'done', ...shown })
  })

  test('what was logged before there were entries stands, and is no entry to replace', async () => {
    const page = await opened(logWith([], [saidSet(placeAt(A, 1), 25, 8)]))
    expect(page.line(0)).toMatchObject({ state: 'done', load: '25', count: '8' })
    await page.of.save([[page.line(0), fields('26', '8', '1')]])
    expect(lastWords(page)).toMatchObject([{ replaces: null, done: { load: { amount: 26 } } }])
  })

  test('earlier values and those kept aside, the latest first, with who said them', async () => {
    const first = reported(saidSet(placeAt(A, 1), 20, 10))
    const second = reported({ ...saidSet(placeAt(A, 1), 22, 8), replaces: first.id })
    const aside = reported(saidSet(placeAt(A, 1), 18, 12), { outcome: 'conflict' })
    const late = reported(saidSet(placeAt(A, 1), 17, 12), { outcome: 'too_old', author: 'import' })
    const { line } = await opened(logWith([first, second, aside, late]))
    expect(line(0)).toMatchObject({ load: '22', count: '8' })
    expect(line(0).others.map(({ words, by, isAside }) => [words, by, isAside])).toEqual([
      ['17\u00a0kg × 12 1 left', 'as it came in, sent late', true],
      ['18\u00a0kg × 12 1 left', 'client, from another phone', true],
      ['20\u00a0kg × 10 1 left', 'client', false],
    ])
  })

  test('an exercise nobody planned is a block of its own', async () => {
    const word = saidSet({ ...placeAt(A, 1), slot: 'elsewhere' as never }, 12, 15)
    const own = { ...word, done: { ...word.done, exercise: exerciseId('hammer_curl') } }
    const { of } = await opened(logWith([reported(own)]))
    expect(of.blocks.value.at(-1)).toMatchObject({
      letter: '+',
      name: 'hammer curl',
      planned: 'not in the plan',
      lines: [{ name: '1', load: '12', count: '15', usual: fields('', '', '') }],
    })
  })

  test('swaps, skips, notes, pain and a clock that is off', async () => {
    const { of } = await opened(
      logWith([
        reported({ kind: 'skip', slot: B, isSkipped: true }),
        reported({ kind: 'note', slot: A, text: 'felt light' }, { clockOffSeconds: -400 }),
        reported({ kind: 'note', slot: null, text: 'slept badly' }),
        reported({
          kind: 'pain',
          joints: ['elbow_flexor_side'],
          side: 'left',
          score: 4,
          hasAlarmSign: false,
        }),
      ]),
    )
    expect(of.blocks.value.map(({ isSkipped }) => isSkipped)).toEqual([false, true])
    expect(of.notes.value).toEqual([
      { text: 'felt light', about: 'Cable curl' },
      { text: 'slept badly', about: '' },
    ])
    expect(of.pains.value).toMatchObject([{ joints: ['elbow_flexor_side'], score: 4 }])
    expect(of.clockOff.value).toBe(400)
  })
})

describe('what is entered', () => {
  let page: Opened
  beforeEach(async () => void (page = await opened(logWith([]))))

  test('an empty field is as planned, a typed one counts', async () => {
    expect(await page.of.save([[page.line(0), fields('', '9', '')]])).toBe(true)
    expect(lastWords(page)).toMatchObject([
      { kind: 'set', done: { load: { amount: 20, unit: 'kg' }, reps: 9, seconds: null, rir: 1 } },
    ])
    expect(page.line(0)).toMatchObject({ state: 'done', count: '9' })
  })

  test('a held set counts seconds', async () => {
    const hold = part({ kind: 'hold', count: 30, load: { kind: 'none' } })
    page = await opened(logWith([], [], smallSheet([[sheetSet(1, [hold])]])))
    expect(page.line(0)).toMatchObject({ hasLoad: false, isSeconds: true })
    await page.of.save([[page.line(0), fields('', '35', '')]])
    expect(lastWords(page)).toMatchObject([{ done: { load: null, reps: null, seconds: 35 } }])
  })

  test.each([
    [fields('-1', '', ''), /^Load cannot be below 0/],
    [fields('', 'ten', ''), /^Reps: “ten” is not a number/],
    [fields('', '', '99'), /^Reps left|^Reps in reserve/],
  ])('a number that is none is named, and nothing goes out: %#', async (typed, words) => {
    const before = page.asked.length
    const isSaved = await page.of.save([
      [page.line(1), fields('', '8', '')],
      [page.line(0), typed],
    ])
    expect(isSaved).toBe(false)
    expect(page.of.complaints.value.get(page.line(0).key)).toMatch(words)
    expect(page.of.complaints.value.size).toBe(1)
    expect(page.asked).toHaveLength(before)
  })

  test('“4+” left is said as open', async () => {
    await page.of.save([[page.line(0), fields('20', '10', '4+')]])
    expect(lastWords(page)).toMatchObject([{ done: { rir: 4, isRirOpen: true } }])
    expect(page.line(0).rir).toBe('4+')
  })

  test('all as planned leaves alone what is done already', async () => {
    await page.of.save([[page.line(0), fields('30', '5', '0')]])
    await page.of.asPlanned(page.lines().slice(0, 3))
    expect(lastWords(page)).toHaveLength(2)
    expect(page.lines().map(({ state }) => state)).toEqual([
      ...['done', 'done', 'done'],
      ...['empty', 'empty', 'empty'],
    ])
    expect(page.line(0).load).toBe('30')
  })

  test('two sets saved one right after the other both stand, whichever answer comes last', async () => {
    server.isSlow = true
    const first = page.of.save([[page.line(0), fields('', '9', '')]])
    await vue.nextTick()
    while (held.length < 1) await new Promise(resolve => setTimeout(resolve))
    const second = page.of.save([[page.line(1), fields('', '8', '')]])
    while (held.length < 2) await new Promise(resolve => setTimeout(resolve))
    // The answer that knows of one set only is the slower one.
    held[1]!()
    await second
    held[0]!()
    await first
    expect(page.lines().map(({ count }) => count)).toEqual(['9', '8', '', '', '', ''])
  })

  test('a value that was kept aside is taken, in place of the one that stands', async () => {
    const stands = reported(saidSet(placeAt(A, 1), 20, 10))
    const aside = reported(saidSet(placeAt(A, 1), 18, 12), { outcome: 'conflict' })
    page = await opened(logWith([stands, aside]))
    await page.of.take(page.line(0), page.line(0).others[0]!)
    expect(lastWords(page)).toMatchObject([{ replaces: stands.id, done: { reps: 12 } }])
    expect(page.line(0)).toMatchObject({ load: '18', count: '12' })
  })

  test('a set is taken out, and the session closed', async () => {
    await page.of.save([[page.line(0), fields('', '9', '')]])
    await page.of.clear(page.line(0))
    expect(page.line(0)).toMatchObject({ state: 'empty', count: '' })
    expect(page.line(0).others).toHaveLength(1)
    expect(await page.of.finish({ minutes: 40, isRecovered: true, note: '' })).toBe(true)
    expect(lastWords(page)).toEqual([{ kind: 'finish', minutes: 40, isRecovered: true, note: '' }])
  })
})

describe('closing a session', () => {
  test.each([
    ['2026-04-05', ''],
    ['2026-04-06', ''],
    ['2026-04-07', 'This session is planned for Tue 7 Apr.'],
  ])('planned for %s, on 6 April: %s', async (on, words) => {
    const { of } = await opened(logWith([], [], { ...smallSheet(), on: plainDate(on) }))
    expect(of.tooEarly.value.startsWith(words)).toBe(true)
    expect(of.tooEarly.value === '').toBe(words === '')
  })
})

describe('what goes wrong', () => {
  test.each([
    [{ kind: 'unreachable' }, /does not answer; what you typed is still here/],
    [{ kind: 'refused', problem: { detail: 'This session is of another client.' } }, /another/],
  ])('not saved, and says why: %#', async (error, words) => {
    const { of, line } = await opened(logWith([]))
    server.refuses = { ok: false, error }
    expect(await of.save([[line(0), fields('', '9', '')]])).toBe(false)
    expect(of.notice.value).toMatch(words)
    expect(of.state.value).toBe('ready')
  })

  test('somebody logged the set meanwhile', async () => {
    const { of, line } = await opened(logWith([]))
    server.outcome = 'conflict'
    expect(await of.save([[line(0), fields('', '9', '')]])).toBe(false)
    expect(of.notice.value).toMatch(/^Somebody logged this set meanwhile/)
  })

  test('a log that cannot be read, and none that is asked for', async () => {
    const { of, chosen } = await opened(logWith([]))
    server.refuses = { ok: false, error: { kind: 'unreachable' } }
    chosen.value = 'another'
    await vue.nextTick()
    await new Promise(resolve => setTimeout(resolve))
    expect(of.state.value).toBe('failed')
    expect(of.blocks.value).toEqual([])
    chosen.value = null
    await vue.nextTick()
    expect(of.state.value).toBe('ready')
    expect(await of.finish({ minutes: 1, isRecovered: null, note: '' })).toBe(false)
  })
})
