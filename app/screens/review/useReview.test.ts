import { beforeEach, describe, expect, test } from '@jest/globals'
import * as vue from 'vue'
import { exerciseId, plainDate } from '#core/base'
import type { Adjustment, ExerciseRow, MuscleRow, PassReview } from '#core/follow/review'
import { adjustmentKey } from '#core/follow/review'
import type { PaceView, ReplanView, ReviewView } from '#shared/contracts/review'
import { type Asked, frameworkWith, provideGlobally } from '~/testing/framework'

const muscle = (more: Partial<MuscleRow> = {}): MuscleRow => ({
  group: 'biceps',
  planned: 10,
  due: 10,
  done: 10,
  band: { floor: 8, target: 12, ceiling: 16 },
  over: 0,
  times: { due: 2, done: 2 },
  readiness: { due: 92.4, done: null },
  ...more,
})
const exercise = (more: Partial<ExerciseRow> = {}): ExerciseRow => ({
  exercise: exerciseId('cable_curl'),
  setsDue: 6,
  setsDone: 6,
  topKg: 40,
  plannedKg: 42.5,
  repsPlanned: 12,
  repsDone: 11,
  rirPlanned: 1,
  rirDone: 0,
  otherwise: [],
  ...more,
})
const adjustment = (more: Partial<Adjustment> = {}): Adjustment => ({
  row: 'A1',
  group: 'biceps',
  change: { kind: 'sets', by: 1, rir: 0 },
  before: 10,
  after: 11,
  evidence: null,
  signs: [],
  confidence: 'fair',
  isWaiting: false,
  ...more,
})
const passReview = (more: Partial<PassReview> = {}): PassReview => ({
  pass: 1,
  from: plainDate('2026-03-23'),
  to: plainDate('2026-03-29'),
  isDeload: false,
  muscles: [muscle()],
  exercises: [exercise()],
  setsDue: 20,
  setsDone: 19,
  recovered: 0,
  notRecovered: 0,
  minutes: { done: 0, planned: 0, sessions: 0 },
  missed: [],
  contradictory: [],
  adjustments: [],
  ...more,
})
const reviewView = (
  review: Partial<PassReview> = {},
  more: Partial<ReviewView> = {},
): ReviewView => ({
  name: 'Marit',
  block: { id: 'block', title: 'Spring', version: 7, passes: 6 },
  review: passReview(review),
  open: (review.adjustments ?? []).map(adjustmentKey),
  decisions: [],
  came: [],
  pains: [],
  notes: [],
  toSend: [],
  missed: [],
  ahead: [],
  replans: [],
  trends: [],
  leftOut: [],
  paces: [],
  muscleTrends: [],
  trials: [],
  elsewhere: [],
  skipped: [],
  ways: [],
  ...more,
})

/** What the server has, what it refuses, and the page’s address. */
const server = { view: reviewView(), refuses: null as unknown }
const query: Record<string, unknown> = {}
const replaced: unknown[] = []

async function opened(view = reviewView()) {
  Object.assign(server, { view, refuses: null })
  replaced.length = 0
  const asked = frameworkWith(({ path, method }: Asked) => {
    if (method === 'GET' && path.includes('/replans/'))
      return server.refuses ?? { ok: true, value: { replans: [replan('drop')] } }
    if (method === 'GET' && path.includes('/review/')) return { ok: true, value: server.view }
    if (method === 'GET' && path.endsWith('/link')) return { ok: true, value: { link: null } }
    if (method === 'GET') return { ok: true, value: { library: { exercises: [], credits: {} } } }
    return server.refuses ?? { ok: true, value: { version: 8 } }
  })
  provideGlobally({
    useRoute: () => ({ query }),
    useChosenBlock: () => ({ query: vue.ref('') }),
    useRouter: () => ({ replace: async (to: unknown) => void replaced.push(to) }),
    createError: (of: object) => Object.assign(new Error('not there'), of),
    useAsyncData: async (_: string, load: () => Promise<unknown>) => {
      const data = vue.shallowRef(await load())
      return { data, refresh: async () => void (data.value = await load()) }
    },
  })
  const { useReview } = await import('./useReview')
  return { asked, of: await useReview('marit') }
}
type Opened = Awaited<ReturnType<typeof opened>>
const posts = ({ asked }: Opened) => asked.filter(({ method }) => method === 'POST')

describe('what is told of a rotation', () => {
  test('which it is, when it was, and how much of it was done', async () => {
    const { of } = await opened(
      reviewView({
        isDeload: true,
        recovered: 3,
        notRecovered: 1,
        minutes: { done: 118.6, planned: 112, sessions: 2 },
      }),
    )
    expect(of.head.value).toMatchObject({
      title: 'Rotation 2 of 6',
      dates: expect.stringMatching(/, easier on purpose$/),
      minutes: '119 minutes in 2 sessions, estimated at 112',
      recovered: 'Recovered in 3 of 4 answers',
    })
  })

  test('on the day of a report it never says that nothing asks for a change', async () => {
    const calm = await opened()
    expect(calm.of.nothingWords.value).toBe('Nothing asks for a change.')
    const pains = [{ words: 'elbow, left: 4 of 10', on: 'Thu 26 Mar' }]
    const { of } = await opened(reviewView({}, { pains }))
    expect(of.nothingWords.value).toMatch(/^Pain was reported: spare the joint first/)
  })

  test('nothing is made up where nobody said anything', async () => {
    const { of } = await opened()
    expect(of.head.value).toMatchObject({
      minutes: 'Minutes are not known',
      recovered: 'Nobody said whether it was recovered',
    })
  })

  test.each([
    [muscle(), { short: '', words: '', times: '2 of 2', isRarer: false, ready: '92\u00a0%' }],
    [muscle({ done: 9.6 }), { short: '', words: '' }],
    [muscle({ done: 9.5 }), { short: '0.5' }],
    [muscle({ done: 7.7 }), { short: '2.3', words: 'under the floor' }],
    [muscle({ done: 7.8 }), { words: '' }],
    [muscle({ done: 16.3, over: 0.3 }), { words: 'over the ceiling', short: '' }],
    // What is indirect is no fault of a muscle that is only kept.
    [muscle({ done: 16.3 }), { words: '', short: '' }],
    // Only half of the rotation is behind: it cannot be judged by seven days.
    [muscle({ due: 5, done: 5 }), { words: '', short: '' }],
    [muscle({ times: { due: 0, done: 0 } }), { times: '', isRarer: false }],
    [muscle({ times: { due: 2, done: 1 } }), { times: '1 of 2', isRarer: true }],
    [muscle({ readiness: { due: 92, done: 71 } }), { ready: '71\u00a0%' }],
    [muscle({ readiness: { due: null, done: null } }), { ready: '' }],
  ])('a muscle as planned beside as done: %#', async (row, words) => {
    const { of } = await opened(reviewView({ muscles: [row] }))
    expect(of.muscles.value).toMatchObject([words])
  })

  test('muscles that need a look come first, the others in their order', async () => {
    const rows = [
      muscle({ group: 'chest' }),
      muscle({ group: 'triceps', done: 5 }),
      muscle({ group: 'lats' }),
      muscle({ group: 'biceps', done: 20, over: 4 }),
    ]
    const { of } = await opened(reviewView({ muscles: rows }))
    expect(of.muscles.value.map(({ group }) => group)).toEqual([
      'triceps',
      'biceps',
      'chest',
      'lats',
    ])
  })

  test.each([
    [
      exercise(),
      { sets: '6 of 6', isShort: false, load: '40 of 42.5', reps: '11 of 12', rir: '0 for 1' },
    ],
    [exercise({ setsDone: 5 }), { sets: '5 of 6', isShort: true }],
    [
      exercise({ plannedKg: null, repsPlanned: null, rirPlanned: null }),
      { load: '40', reps: '11', rir: '0' },
    ],
    [exercise({ topKg: 22.679618 }), { load: '22.68 of 42.5' }],
    [
      exercise({ topKg: null, repsDone: null, rirDone: null }),
      { load: 'of 42.5', reps: '', rir: '' },
    ],
  ])('an exercise as planned beside as done: %#', async (row, words) => {
    const { of } = await opened(reviewView({ exercises: [row] }))
    expect(of.exercises.value).toMatchObject([{ name: 'Cable curl, bar', ...words }])
  })

  test('a muscle that falls is marked and stands first, a flat one leads on; an exercise alone marks nothing', async () => {
    const trend = {
      since: null,
      leaning: null,
      slope: -0.02,
      error: 0.004,
      count: 12,
      spanWeeks: 6,
    }
    const falling = { ...trend, verdict: 'decline' as const }
    const flat = { ...trend, slope: 0, verdict: 'plateau' as const }
    const { of } = await opened(
      reviewView(
        { muscles: [muscle({ group: 'biceps' }), muscle({ group: 'triceps' })] },
        {
          trends: [{ ...falling, exercise: 'cable_curl' }],
          muscleTrends: [
            { ...falling, group: 'triceps' },
            { ...flat, group: 'biceps' },
          ],
        },
      ),
    )
    expect(of.exercises.value[0]!.trend).toMatch(/^Falling/)
    expect(
      of.muscles.value.map(({ group, trend: { isFalling, isFlat } }) => [group, isFalling, isFlat]),
    ).toEqual([
      ['triceps', true, false],
      ['biceps', false, true],
    ])
    const early = await opened()
    expect(early.of.exercises.value[0]!.trend).toContain('Too early')
    expect(early.of.muscles.value[0]!.trend.words).toBe('')
  })

  test('a muscle that holds while eating less has succeeded', async () => {
    const holding = {
      group: 'biceps' as const,
      verdict: 'plateau' as const,
      since: null,
      leaning: null,
      slope: 0,
      error: 0.001,
      count: 20,
      spanWeeks: 10,
      eatsLess: true,
    }
    const { of } = await opened(reviewView({}, { muscleTrends: [holding] }))
    expect(of.muscles.value[0]!.trend.words).toMatch(
      /^Holding over 10 weeks: while eating less that is success/,
    )
  })

  test('an exercise that goes a way of its own is read by its own measure', async () => {
    const way = { kind: 'sets', everyWeeks: 2, by: 1, to: 6 } as const
    const { of } = await opened(
      reviewView(
        {},
        {
          ways: [
            {
              exercise: exerciseId('cable_curl'),
              way,
              first: 1840,
              last: 2210,
              sessions: 9,
              isReps: false,
            },
          ],
        },
      ),
    )
    expect(of.exercises.value[0]!.trend).toBe(
      'By a set more: 1,840 to 2,210 kg moved a session, over 9 sessions.',
    )
  })

  test('an estimate that is left out says why; only a questioned one can be confirmed', async () => {
    const out = (reason: 'outlier' | 'pain') => ({
      exercise: exerciseId('cable_curl'),
      on: plainDate('2026-03-24'),
      value: 61.25,
      reason,
    })
    const page = await opened(reviewView({}, { leftOut: [out('outlier'), out('pain')] as never }))
    expect(page.of.leftOut.value.map(({ isQuestioned }) => isQuestioned)).toEqual([true, false])
    expect(page.of.leftOut.value[0]!.words).toMatch(/^Cable curl, bar, .*, 61\.3 kg: /)
    await page.of.confirm(page.of.leftOut.value[0]!.value)
    expect(posts(page)).toMatchObject([
      {
        path: '/api/clients/marit/review/1/confirm',
        body: { exercise: 'cable_curl', on: '2026-03-24', value: 61.25 },
      },
    ])
  })
})

describe('proposals', () => {
  const first = adjustment()
  const second = adjustment({ group: 'triceps' })
  const later = adjustment({ group: 'forearms', isWaiting: true })
  const on = adjustment({ group: 'chest', change: { kind: 'go_on' } as Adjustment['change'] })
  const all = [first, second, later, on]

  test('to decide about, for later, and what goes on as planned', async () => {
    const { of } = await opened(
      reviewView({ adjustments: all }, { open: [first, later, on].map(adjustmentKey) }),
    )
    expect(of.proposals.value.map(({ key }) => key)).toEqual([adjustmentKey(first)])
    expect(of.waiting.value.map(({ key }) => key)).toEqual([adjustmentKey(later)])
    expect(of.asPlanned.value.map(({ key }) => key)).toEqual([adjustmentKey(on)])
  })

  test('are gone through from the first to the last', async () => {
    const { of } = await opened(reviewView({ adjustments: all }))
    of.step(-1)
    expect(of.at.value).toBe(0)
    of.step(1)
    of.step(1)
    expect(of.at.value).toBe(1)
  })

  test('taken or refused goes out with the version that was seen', async () => {
    const page = await opened(reviewView({ adjustments: all }))
    const { key } = page.of.proposals.value[0]!
    server.view = reviewView(
      { adjustments: [second] },
      { block: { ...server.view.block, version: 8 } },
    )
    expect(await page.of.decide(key, 'taken')).toBe(true)
    expect(page.of.notice.value).toMatch(/^Taken\. It stands in the plan from the next rotation on/)
    await page.of.decide(page.of.proposals.value[0]!.key, 'refused', 'not now')
    expect(posts(page).map(({ body }) => body)).toEqual([
      { key, decision: 'taken', isOnce: false, reason: '', version: 7 },
      {
        key: adjustmentKey(second),
        decision: 'refused',
        isOnce: false,
        reason: 'not now',
        version: 8,
      },
    ])
    expect(page.of.notice.value).toMatch(/^Refused/)
  })

  test.each([
    [{ kind: 'unreachable' }, /^The server does not answer\. Nothing was changed/],
    [
      { kind: 'refused', problem: { type: '/problems/stale-version', detail: '' } },
      /changed elsewhere/,
    ],
    [
      { kind: 'refused', problem: { type: '/problems/x', detail: 'Not any more.' } },
      /^Not any more/,
    ],
  ])('not taken says why: %#', async (error, words) => {
    const page = await opened(reviewView({ adjustments: all }))
    server.refuses = { ok: false, error }
    expect(await page.of.decide('any', 'taken')).toBe(false)
    expect(page.of.notice.value).toMatch(words)
    expect(page.of.isBusy.value).toBe(false)
  })

  test('one at a time: a second key while the first is under way does nothing', async () => {
    const page = await opened(reviewView({ adjustments: all }))
    const both = await Promise.all([page.of.decide('a', 'taken'), page.of.decide('b', 'taken')])
    expect(both).toEqual([true, false])
    expect(posts(page)).toHaveLength(1)
  })
})

describe('sending and turning', () => {
  test('sends every rotation that is due, and stops at the first that fails', async () => {
    const toSend = [
      { pass: 1, again: true },
      { pass: 2, again: false },
    ]
    const page = await opened(reviewView({}, { toSend }))
    await page.of.sendAll()
    expect(posts(page).map(({ path, body }) => [path, body])).toEqual([
      ['/api/blocks/block/send', { pass: 1, version: 7, again: true }],
      ['/api/blocks/block/send', { pass: 2, version: 7, again: false }],
    ])
    expect(page.of.notice.value).toBe('Sent: rotation 2 and 3.')
    // Nobody has a phone to find it on yet: a link and a code are handed over.
    expect(page.of.isHandingOver.value).toBe(true)
    server.refuses = { ok: false, error: { kind: 'unreachable' } }
    await page.of.sendAll()
    expect(posts(page)).toHaveLength(3)
  })

  test('turns to the rotations there are', async () => {
    const { of } = await opened()
    of.turn(1)
    of.turn(-1)
    expect(replaced).toEqual([{ query: { rotation: 3 } }, { query: { rotation: 1 } }])
    const last = await opened(reviewView({ pass: 5 }))
    last.of.turn(1)
    expect(replaced).toEqual([])
  })

  test('a rotation named in the address is asked for; anything else is the latest', async () => {
    for (const [rotation, path] of [
      ['3', '/review/2'],
      ['x', '/review/latest'],
    ] as const) {
      query.rotation = rotation
      const { asked } = await opened()
      expect(asked[0]!.path).toBe(`/api/clients/marit${path}`)
      delete query.rotation
    }
  })
})

function replan(option: ReplanView['option'], more: Partial<ReplanView> = {}): ReplanView {
  return {
    option,
    moves: [],
    refilled: [],
    dropped: [],
    lost: [],
    kept: 0.5,
    sets: [{ group: 'biceps', kept: 3, of: 6 }],
    lowest: null,
    longest: null,
    ramp: null,
    daysChanged: 0,
    endsOn: plainDate('2026-05-03'),
    newStops: 0,
    newCautions: 0,
    ...more,
  } as ReplanView
}

describe('a missed session', () => {
  const pull = { id: 'pull', name: 'Pull', on: plainDate('2026-03-25') }
  const arms = { id: 'arms', name: 'Arms', on: plainDate('2026-03-28') }
  let page: Opened
  async function replans(view: ReviewView) {
    page = await opened(view)
    const { useReplans } = await import('./useReplans')
    return useReplans('marit', page.of)
  }

  test('its ways side by side, the best first, each with its price', async () => {
    const of = await replans(
      reviewView(
        {},
        {
          missed: [pull, { ...pull, id: 'legs' }],
          replans: [
            replan('shift', {
              lost: [{ name: 'Legs', on: plainDate('2026-04-01'), sets: 9 }],
              kept: 0.934,
              lowest: { group: 'lats', readiness: 71.6, on: plainDate('2026-03-27') } as never,
              longest: { minutes: 72, limit: 60 } as never,
              newCautions: 2,
            }),
            replan('drop', { newStops: 1 }),
          ],
        },
      ),
    )
    expect(of.missed.value).toMatchObject({ isAhead: false, more: 1 })
    expect(of.lines.value).toMatchObject([
      {
        option: 'shift',
        what: expect.stringContaining('Legs of Wed 1 Apr makes room: its 9 sets are lost'),
        isBest: true,
        kept: '93\u00a0%',
        longest: '72 of 60 min',
        isOverLimit: true,
      },
      {
        option: 'drop',
        isBest: false,
        what: 'Nothing moves; its sets are lost',
        isOverLimit: false,
      },
    ])
    expect(of.lines.value.map(({ cautions }) => cautions)).toEqual([
      '2 to watch',
      '1 to stop, 0 to watch',
    ])
    expect(of.lines.value[0]!.sets).toBe('Biceps 3 of 6')
  })

  test('one is chosen by its number; a number without a way does nothing', async () => {
    const of = await replans(reviewView({}, { missed: [pull], replans: [replan('drop')] }))
    of.choose(4)
    expect(posts(page)).toEqual([])
    of.choose(0)
    await vue.nextTick()
    expect(posts(page)).toMatchObject([
      {
        path: '/api/clients/marit/review/1/replan',
        body: { session: 'pull', option: 'drop', version: 7 },
      },
    ])
  })

  test('one that will be missed is laid out beforehand, and put back', async () => {
    const of = await replans(reviewView({}, { ahead: [arms], missed: [] }))
    expect(of.missed.value).toBeNull()
    expect(of.ahead.value).toMatchObject([{ id: 'arms' }])
    await of.cannotCome('arms')
    expect(of.missed.value).toMatchObject({ isAhead: true, more: 0 })
    expect(of.ahead.value).toEqual([])
    of.canCome()
    expect(of.missed.value).toBeNull()
    server.refuses = { ok: false, error: { kind: 'unreachable' } }
    await of.cannotCome('arms')
    expect(page.of.notice.value).toMatch(/^The server did not lay that out/)
  })
})

describe('how fast muscles recover', () => {
  const pace = (more: Partial<PaceView>): PaceView => ({
    group: 'biceps',
    learned: null,
    inForce: 1,
    by: null,
    since: null,
    ...more,
  })
  beforeEach(() => void (query.rotation = undefined))

  test('told where there is something to tell, and decided by the coach', async () => {
    const learned = {
      kind: 'pace' as const,
      pace: 1.214,
      low: 1.05,
      high: 1.4,
      exposures: 14,
      byStrength: 1.2,
    }
    const page = await opened(
      reviewView(
        {},
        {
          paces: [
            pace({ learned, inForce: 1.21, by: 'log' }),
            pace({ group: 'triceps', inForce: 1.3, by: 'coach' }),
            pace({ group: 'forearms' }),
          ],
        },
      ),
    )
    const { usePaces } = await import('./usePaces')
    const of = usePaces('marit', page.of)
    expect(of.rows.value).toMatchObject([
      { group: 'biceps', offered: 1.21, by: 'from the log', inForce: '1.21 times the usual hours' },
      { group: 'triceps', offered: null, by: 'set by you' },
    ])
    expect(of.silent.value.map(({ group }) => group)).toEqual(['forearms'])
    await of.set('biceps', 1.3)
    await of.usual('biceps')
    await of.anew('biceps')
    expect(posts(page).map(({ path, body }) => [path, body])).toEqual([
      ['/api/clients/marit/pace', { group: 'biceps', decision: { kind: 'set', pace: 1.3 } }],
      ['/api/clients/marit/pace', { group: 'biceps', decision: { kind: 'usual' } }],
      ['/api/clients/marit/pace', { group: 'biceps', decision: { kind: 'anew' } }],
    ])
  })
})
