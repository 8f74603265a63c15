import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, exerciseId, plainDate } from '../../base'
import type { LoggedSet } from '../../body/log'
import { doneLine, sideGapWords, storyNotes } from '../../words'
import { day, straight } from '../../testing/notation'
import {
  attemptsIn,
  bestSets,
  exerciseStory,
  fallOverSets,
  sideDays,
  sideGap,
  type StorySession,
} from '.'

const CURL = exerciseId('cable_curl')
const HAMMER = exerciseId('rope_hammer_curl')
const session = day(straight('cable_curl', 3, 10, 2), straight('pushdown_rope', 3, 12, 2))
  .sessions[0]!
const curlSlot = session.groupings[0]!.slots[0]!
const START = plainDate('2026-03-02')

const logged = (
  set: number,
  loadKg: number,
  reps: number,
  more: Partial<LoggedSet> = {},
): LoggedSet => ({
  slot: curlSlot.id,
  exercise: CURL,
  intent: null,
  set,
  stage: 1,
  side: null,
  role: 'working',
  loadKg,
  reps,
  seconds: null,
  rir: 1,
  isRirOpen: false,
  ...more,
})
const held = (at: number, more: Partial<StorySession> = {}): StorySession => ({
  id: `s${at}`,
  on: addDays(START, at),
  name: 'Arms',
  prescribed: session,
  isClosed: true,
  ...more,
})
const inSession = (at: number, ...sets: readonly LoggedSet[]) =>
  sets.map(set => ({ ...set, sessionId: `s${at}` }))
const asked = (
  sessions: readonly StorySession[],
  sets: ReturnType<typeof inSession>,
  more: Partial<Parameters<typeof exerciseStory>[0]> = {},
) => exerciseStory({ exercise: CURL, sessions, sets, pains: [], setUps: [], ...more })

describe('days of an exercise', () => {
  test('plan and log stand together, sessions ahead last', () => {
    const days = asked(
      [held(7, { isClosed: false }), held(0)],
      inSession(0, logged(1, 30, 10), logged(2, 30, 9), logged(3, 30, 8)),
    )
    expect(days.map(({ on, isClosed, sets }) => [on, isClosed, sets.length])).toEqual([
      ['2026-03-02', true, 3],
      ['2026-03-09', false, 0],
    ])
    expect(days[0]).toMatchObject({ fall: 2, planned: [curlSlot] })
    expect(doneLine(days[0]!.sets, 'kg')).toBe('30\u00a0kg × 10, 9, 8')
  })
  test('swaps are told both ways', () => {
    const swapped = inSession(0, logged(1, 20, 12, { exercise: HAMMER }))
    const [own] = asked([held(0)], swapped)
    expect(storyNotes(own!, id => id)).toEqual(['rope_hammer_curl in its place'])
    const [other] = exerciseStory({
      exercise: HAMMER,
      sessions: [held(0)],
      sets: swapped,
      pains: [],
      setUps: [],
    })
    expect(storyNotes(other!, id => id)).toEqual(['in place of cable_curl'])
  })
  test('a session without it is no day of it; one that was skipped is', () => {
    const elsewhere = day(straight('pushdown_rope', 3, 12)).sessions[0]!
    expect(asked([held(0, { prescribed: elsewhere })], [])).toEqual([])
    const [skipped] = asked([held(0)], [])
    expect(storyNotes(skipped!, id => id)).toEqual(['not done'])
  })
  test('pain of the day and the set-up that holds stand beside it', () => {
    const days = asked([held(0), held(7), held(14)], inSession(7, logged(1, 30, 10)), {
      pains: [{ on: addDays(START, 7), joint: 'wrist', side: 'left', score: 5 }],
      setUps: [
        { on: addDays(START, 7), setUp: { cable: 'low' } },
        { on: addDays(START, 14), setUp: { cable: 'high' } },
      ],
    })
    expect(days.map(({ setUp }) => setUp)).toEqual(['', 'cable low', 'cable high'])
    expect(storyNotes(days[1]!, id => id)).toEqual(['left wrist hurt, 5 of 10'])
  })
})

test.each([
  ['one load', [logged(1, 30, 12), logged(2, 30, 10), logged(3, 30, 9)], 3],
  ['a load that falls', [logged(1, 30, 12), logged(2, 25, 12)], null],
  ['one set', [logged(1, 30, 12)], null],
  [
    'a warm-up first',
    [logged(1, 15, 12, { role: 'warmup' }), logged(1, 30, 9), logged(2, 30, 9)],
    0,
  ],
  [
    'the weaker arm',
    [
      logged(1, 10, 12, { side: 'left' }),
      logged(1, 10, 10, { side: 'right' }),
      logged(2, 10, 9, { side: 'left' }),
      logged(2, 10, 9, { side: 'right' }),
    ],
    1,
  ],
])('first set against last: %s', (_, sets, fall) => {
  expect(fallOverSets(sets)).toBe(fall)
})

describe('best sets', () => {
  const days = (...rows: readonly (readonly LoggedSet[])[]) =>
    asked(
      rows.map((_, at) => held(at)),
      rows.flatMap((row, at) => inSession(at, ...row)),
    )
  test('highest estimate, heaviest, and most reps at each load, each by whoever was first', () => {
    const bests = bestSets(
      days(
        [logged(1, 30, 10), logged(2, 30, 8)],
        [logged(1, 35, 3), logged(2, 30, 10)],
        [logged(1, 25, 15)],
      ),
    )
    expect(bests.map(({ kind, on, set }) => [kind, on, set.loadKg, set.reps])).toEqual([
      ['estimate', '2026-03-02', 30, 10],
      ['load', '2026-03-03', 35, 3],
      ['reps', '2026-03-02', 30, 10],
      ['reps', '2026-03-04', 25, 15],
    ])
  })
  test('most reps are told of the five heaviest loads, and of no lighter one', () => {
    const loads = [20, 22.5, 25, 27.5, 30, 32.5, 35]
    const bests = bestSets(days(...loads.map((load, at) => [logged(1, load, 20 - 2 * at)])))
    const told = bests.filter(({ kind }) => kind !== 'estimate').map(({ set }) => set.loadKg)
    expect(Math.min(...told.map(Number))).toBe(25)
  })
  test('what was cut short, loose or helped holds none', () => {
    expect(
      bestSets(days([logged(1, 50, 10, { lapses: ['helped'] }), logged(2, 30, 8)]))[0],
    ).toMatchObject({
      set: { loadKg: 30 },
    })
  })
  test('body-weight work tells no estimate where the body is not known', () => {
    const dip = { exercise: exerciseId('dip') }
    const all = exerciseStory({
      exercise: dip.exercise,
      sessions: [held(0)],
      sets: inSession(0, logged(1, 15, 8, dip)),
      pains: [],
      setUps: [],
    })
    expect(all[0]?.estimateKg).toBeNull()
    expect(bestSets(all).map(({ kind }) => kind)).toEqual(['load'])
  })
  test('nothing done has none', () => expect(bestSets(days([]))).toEqual([]))
})

describe('left and right', () => {
  const arms = (at: number, left: number, right: number) =>
    inSession(at, logged(1, 10, left, { side: 'left' }), logged(1, 10, right, { side: 'right' }))
  const gapOf = (rows: readonly (readonly [number, number])[]) => {
    const days = asked(
      rows.map((_, at) => held(at)),
      rows.flatMap(([l, r], at) => arms(at, l, r)),
    )
    return { days: sideDays(days), gap: sideGap(sideDays(days)) }
  }
  test('three days are too few', () => {
    const { days, gap } = gapOf([
      [8, 10],
      [8, 10],
      [8, 10],
    ])
    expect(days).toHaveLength(3)
    expect(gap).toBeNull()
    expect(sideGapWords(gap, days.length)).toMatch(/3 of about 4 days/)
  })
  test('a steady gap names the weak arm, in either direction', () => {
    const left = gapOf([
      [8, 10],
      [8, 11],
      [9, 11],
      [8, 10],
      [9, 11],
    ]).gap!
    expect(left.weak).toBe('left')
    expect(left.gap).toBeGreaterThan(0.03)
    const right = gapOf([
      [10, 8],
      [11, 8],
      [11, 9],
      [10, 8],
      [11, 9],
    ]).gap!
    expect(right.weak).toBe('right')
    expect(sideGapWords(right, 5)).toMatch(/^The right does \d+\u00a0% less, from 5 days/)
  })
  test('arms alike are called unlike by chance in one of twenty', () => {
    let told = 0
    const runs = 400
    const random = fc.sample(fc.integer({ min: 8, max: 12 }), { numRuns: runs * 16, seed: 4 })
    for (let run = 0; run < runs; run++) {
      const pairs = Array.from({ length: 8 }, (_, at) => {
        const base = run * 16 + at * 2
        return [random[base]!, random[base + 1]!] as const
      })
      if (gapOf(pairs).gap?.weak) told++
    }
    expect(told / runs).toBeLessThan(0.08)
  })
  test('a day with one side alone says nothing', () => {
    const days = asked([held(0)], inSession(0, logged(1, 10, 9, { side: 'left' })))
    expect(sideDays(days)).toEqual([])
  })
})

test.each([
  [2, 'hit'],
  [1.5, 'part'],
  [0, 'missed'],
] as const)('an attempt at two of which %s are done is %s', (reps, outcome) => {
  const single = day(straight('cable_curl', 1, 2)).sessions[0]!
  const [slot] = single.groupings[0]!.slots
  const runs = [
    {
      ...slot.scheme.runs[0]!,
      stages: [{ kind: 'work', reps: { kind: 'exactly', count: 1, intended: 2 } }],
    },
  ] as const
  const prescribed = {
    ...single,
    groupings: [{ ...single.groupings[0]!, slots: [{ ...slot, scheme: { runs } }] }],
  } as typeof single
  const days = asked(
    [held(0, { prescribed })],
    inSession(0, logged(1, 60, reps, { slot: slot.id })),
  )
  expect(attemptsIn(days)).toEqual([{ on: START, loadKg: 60, intended: 2, done: reps, outcome }])
})
