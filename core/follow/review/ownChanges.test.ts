import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../../base'
import type { PlanDocument } from '../../plan/block'
import type { LoggedSet } from '../../body/log'
import { datedTrend } from '../../body/trend'
import { contextWith, defaultContext, type PainLevel, STEADY_MIDDLE } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { expandedBlock } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { writtenSession as session } from '../../testing/shorthandPlans'
import { cameWords, expectationWords } from '../../words'
import {
  type Adjustment,
  adjustmentKey,
  cameOf,
  type Change,
  type ExerciseRow,
  expectationOf,
  ownDecision,
  type OwnFacts,
  passReview,
  type SessionOutcome,
  withAdjustment,
} from '.'

const ONCE = { isOnce: true, on: plainDate('2026-03-16'), why: '' }
const context = defaultContext({ trainingAgeMonths: 40 })
const arms = session(
  'barbell_curl 4 x 8-12, rir 1\npushdown_rope 4 x 10-12, rir 1\nlying_extension_cambered 4 x 8-12, rir 1',
)
const rest = { role: 'rest' as const, sessions: [] }
const plan: PlanDocument = {
  schema: 1,
  title: 'Block',
  startsOn: plainDate('2026-04-06'),
  passes: 4,
  rotation: {
    kind: 'places',
    anchor: { kind: 'floating' },
    days: [{ role: 'arms', minuteLimit: 30, sessions: [arms] }, rest, rest, rest, rest, rest, rest],
  },
}
const done = (reps: number, rir: number | null): LoggedSet[] =>
  sessionSlots(arms).flatMap(slot =>
    Array.from({ length: plannedSets(slot.scheme) }, (_, at): LoggedSet => ({
      slot: slot.id,
      exercise: slot.exercise,
      intent: slot.intent,
      set: at + 1,
      stage: 1,
      side: null,
      role: 'working',
      loadKg: 30,
      reps,
      seconds: null,
      rir,
      isRirOpen: false,
    })),
  )
const outcome = (sets: LoggedSet[], more: Partial<SessionOutcome> = {}): SessionOutcome => ({
  day: 0,
  place: 0,
  state: 'done',
  sets,
  minutes: null,
  isRecovered: null,
  ...more,
})
const sore = (level: PainLevel) =>
  contextWith(
    STEADY_MIDDLE,
    { ...context.client, pain: { elbow_extensor_side: level } },
    context.catalogue,
  )
const reviewed = (
  sets: LoggedSet[],
  {
    pass = 0,
    outcomes,
    within = context,
    ...more
  }: {
    pass?: number
    outcomes?: ReadonlyMap<number, readonly SessionOutcome[]>
    within?: typeof context
  } & Partial<Parameters<typeof passReview>[0]> = {},
) =>
  passReview({
    expanded: expandedBlock(plan, within),
    pass,
    context: within,
    outcomes: outcomes ?? new Map([[pass, [outcome(sets)]]]),
    trends: [],
    muscles: new Map(),
    ...more,
  })!
const rowsOf = (review: ReturnType<typeof reviewed>, row: string) =>
  review.adjustments.filter(one => one.row === row)

describe('load steps', () => {
  test('reps to spare on four sets: a step up; too few left, or reps missed: lighter', () => {
    expect(rowsOf(reviewed(done(12, 3)), 'E1').map(({ change }) => change)).toContainEqual({
      kind: 'load',
      exercise: 'barbell_curl',
      step: 'up',
    })
    expect(rowsOf(reviewed(done(6, 1)), 'E2').map(({ change }) => change)).toContainEqual({
      kind: 'load',
      exercise: 'barbell_curl',
      step: 'down',
    })
    expect(rowsOf(reviewed(done(10, 1)), 'E1')).toEqual([])
    expect(rowsOf(reviewed(done(10, null)), 'E1')).toEqual([])
  })
  test('nothing goes up on a sore joint, other exercises may', () => {
    const up = rowsOf(reviewed(done(12, 3), { within: sore('hold') }), 'E1').map(
      ({ facts }) => facts?.exercise,
    )
    expect(up).not.toContain('pushdown_rope')
  })
  test('taken, the next rotation has it as an exception and the plan else stays', () => {
    const [up] = rowsOf(reviewed(done(12, 3)), 'E1')
    const taken = withAdjustment(plan, 1, up!, context, ONCE)
    expect(taken.block?.exceptions).toEqual([
      { kind: 'load', pass: 1, exercise: up?.facts?.exercise, step: 'up' },
    ])
    expect({ ...taken, block: undefined }).toEqual({ ...plan, block: undefined })
  })
})

describe('stand-ins', () => {
  test('a joint at swap: what loads it is to be replaced by what spares it, before anything else', () => {
    const review = reviewed(done(10, 1), { within: sore('swap') })
    const swaps = rowsOf(review, 'E3')
    expect(swaps.length).toBeGreaterThan(0)
    expect(review.adjustments[0]?.row).toBe('E3')
    const [first] = swaps
    const taken = withAdjustment(plan, 1, first!, sore('swap'), ONCE)
    const exercises = sessionSlots(taken.rotation.days[0]!.sessions[0]!).map(
      ({ exercise }) => exercise,
    )
    if (first?.change.kind !== 'swap') throw new Error('no swap')
    expect(exercises).toContain(first.change.to)
    expect(exercises).not.toContain(first.change.from)
  })
  test('falling though recovered: the one that falls most', () => {
    const falling = (slope: number) => ({
      ...datedTrend([]),
      verdict: 'decline' as const,
      slope,
      error: 0.002,
    })
    const review = reviewed(done(10, 1), {
      trends: [
        { exercise: 'pushdown_rope', trend: falling(-0.01) },
        { exercise: 'lying_extension_cambered', trend: falling(-0.02) },
      ],
      muscles: new Map([['triceps', falling(-0.015)]]),
    })
    expect(rowsOf(review, 'E3').map(({ change }) => change)).toMatchObject([
      { from: 'lying_extension_cambered' },
    ])
  })
})

describe('time, absence, answers', () => {
  test('over the limit in two of the last three: the session is made to fit', () => {
    const long = (minutes: number) => [outcome(done(10, 1), { minutes })]
    const [short] = rowsOf(
      reviewed([], {
        pass: 2,
        outcomes: new Map([
          [0, long(48)],
          [1, long(29)],
          [2, long(44)],
        ]),
      }),
      'S1',
    )
    expect(short).toMatchObject({
      change: {
        kind: 'shorten',
        day: 0,
        place: 0,
        minutes: Math.floor(((sessionSeconds(arms, context) / 60) * 30) / 46),
      },
      facts: { limit: 30, minutes: 46 },
    })
    const taken = withAdjustment(plan, 3, short!, context, ONCE)
    expect(sessionSeconds(taken.rotation.days[0]!.sessions[0]!, context)).toBeLessThan(
      sessionSeconds(arms, context),
    )
    expect(
      rowsOf(
        reviewed([], {
          pass: 1,
          outcomes: new Map([
            [0, long(48)],
            [1, long(29)],
          ]),
        }),
        'S1',
      ),
    ).toEqual([])
  })
  test.each([
    [10, undefined],
    [20, -2],
    [40, -2],
    [70, -4],
  ] as const)('%s days away', (days, least) => {
    const [first] = expandedBlock(plan, context).passes
    const last = new Date(Date.parse(`${first!.from}T00:00:00Z`) + (7 - days) * 86_400_000)
      .toISOString()
      .slice(0, 10)
    const curl = reviewed(done(10, 1), {
      lastDone: [{ exercise: 'barbell_curl', on: plainDate(last) }],
    }).adjustments.find(({ group }) => group === 'biceps')
    if (least === undefined) expect(curl?.row).not.toBe('G1')
    else expect(curl).toMatchObject({ row: 'G1', change: { kind: 'sets', rir: 2 } })
  })
  test('said to be recovered while half of the sets fell short is told as a contradiction', () => {
    expect(
      passReview({
        expanded: expandedBlock(plan, context),
        pass: 0,
        context,
        trends: [],
        muscles: new Map(),
        outcomes: new Map([[0, [outcome(done(5, 0), { isRecovered: true })]]]),
      })?.contradictory,
    ).toHaveLength(1)
    expect(
      passReview({
        expanded: expandedBlock(plan, context),
        pass: 0,
        context,
        trends: [],
        muscles: new Map(),
        outcomes: new Map([[0, [outcome(done(5, 0), { isRecovered: false })]]]),
      })?.contradictory,
    ).toEqual([])
  })
  test('an exercise swapped half-way is looked at under both names', () => {
    const swapped = done(10, 1).map(set =>
      set.exercise === 'pushdown_rope'
        ? { ...set, exercise: sessionSlots(session('pushdown_bar 1 x 10'))[0]!.exercise }
        : set,
    )
    expect(
      reviewed(swapped).exercises.map(({ exercise, setsDone }) => `${exercise} ${setsDone}`),
    ).toEqual(expect.arrayContaining(['pushdown_rope 0', 'pushdown_bar 4']))
  })
  test('decisions without a proposal have keys of their own and change no plan', () => {
    const all = [
      ownDecision('M1', {
        kind: 'replan',
        option: 'shift',
        session: 'Arms',
        on: plainDate('2026-04-06'),
      }),
      ownDecision('P1', { kind: 'pace', pace: null, isAnew: false }, 'triceps'),
      ownDecision('O1', {
        kind: 'confirm',
        exercise: sessionSlots(arms)[0]!.exercise,
        on: plainDate('2026-04-06'),
        value: 41,
      }),
    ]
    expect(all.map(adjustmentKey)).toEqual([
      'M1 shift Arms 2026-04-06',
      'P1 triceps usual',
      'O1 barbell_curl 2026-04-06 41',
    ])
    for (const one of all) expect(withAdjustment(plan, 1, one, context, ONCE)).toBe(plan)
  })
})

describe('what came of a change of load or of a session', () => {
  const own = (row: 'E1' | 'S1', change: Change, facts: OwnFacts): Adjustment => ({
    row,
    group: null,
    change,
    before: 0,
    after: 0,
    evidence: null,
    signs: [],
    facts,
    confidence: 'fair',
    isWaiting: false,
  })
  const curl = exerciseId('barbell_curl')
  const heavier = own('E1', { kind: 'load', exercise: curl, step: 'up' }, { exercise: curl })
  const came = (
    proposal: Adjustment,
    rows: Partial<ExerciseRow>[],
    adjustments: Adjustment[] = [],
  ) =>
    cameOf(
      [{ pass: 0, proposal }],
      {
        pass: 1,
        adjustments,
        exercises: rows.map(row => ({
          exercise: curl,
          setsDue: 4,
          setsDone: 4,
          topKg: 30,
          plannedKg: 30,
          repsPlanned: 10,
          repsDone: 10,
          rirPlanned: 1,
          rirDone: 1,
          otherwise: [],
          ...row,
        })),
      },
      context,
    ).map(one => [one.isMet, cameWords(one)])
  test.each([
    [[{ rirDone: 1.5 }], [[true, 'As expected: 1.5 left for 1 planned']]],
    [[{ rirDone: 4 }], [[false, 'Not as expected: 4 left for 1 planned']]],
    [[{ rirDone: null }], [[null, 'Cannot be told: nobody said how many were left']]],
    [[], []],
  ])('a step heavier, %j', (rows, expected) => expect(came(heavier, rows)).toEqual(expected))
  test('easier days are over when two signs of them are gone', () => {
    const easier: Adjustment = {
      ...own('S1', { kind: 'deload' }, {}),
      row: 'A3',
      signs: ['falling', 'not_recovered'],
    }
    const { facts: _, ...deload } = easier
    const at = (pass: number, adjustments: Adjustment[]) =>
      cameOf([{ pass: 0, proposal: deload }], { pass, adjustments, exercises: [] }, context).map(
        cameWords,
      )
    expect(expectationWords(expectationOf(deload)!)).toBe(
      'Expected: nothing asks for easier days any more, after 2 rotations',
    )
    expect(at(1, [])).toEqual([])
    expect(at(2, [])).toEqual(['As expected: no two signs of it are left'])
    expect(at(2, [deload])).toEqual(['Not as expected: two signs of it are there again'])
  })
  test('a stand-in is there to calm a joint; one for what falls is a try', () => {
    const swap: Change = {
      kind: 'swap',
      from: curl,
      to: exerciseId('hammer_curl'),
      intent: null,
    }
    const kinder = own('S1', swap, { sore: { joint: 'wrist', level: 'swap' } })
    const proposal: Adjustment = { ...kinder, row: 'E3' }
    const under = (pain: 'none' | 'hold') =>
      cameOf(
        [{ pass: 0, proposal }],
        { pass: 2, adjustments: [], exercises: [] },
        {
          ...context,
          client: { ...context.client, pain: { wrist: pain } },
        },
      ).map(cameWords)
    expect(under('none')).toEqual(['As expected: wrist is calm'])
    expect(under('hold')).toEqual(['Not as expected: wrist is sore still'])
    expect(expectationOf({ ...proposal, facts: { slope: -0.01 } })).toBeNull()
  })
  test('a session that is proposed to be shortened again did not fit', () => {
    const shorter = own(
      'S1',
      { kind: 'shorten', day: 0, place: 0, minutes: 40 },
      { session: 'Arms' },
    )
    expect(came(shorter, [])[0]?.[0]).toBe(true)
    expect(came(shorter, [], [shorter])[0]?.[0]).toBe(false)
    expect(expectationWords(expectationOf(shorter)!)).toBe(
      'Expected: the session fits its minutes, after one rotation',
    )
  })
})
