import { describe, expect, test } from '@jest/globals'
import { datedTrend } from '../../body/trend'
import { exerciseId, plainDate } from '../../base'
import type { PlanDocument } from '../../plan/block'
import type { LoggedSet } from '../../body/log'
import { defaultContext } from '../../plan/method'
import { expandedBlock } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots } from '../../plan/session'
import { writtenSession as session } from '../../testing/shorthandPlans'
import { adjustmentKey, doneSession, passReview, type SessionOutcome, withAdjustment } from '.'

const ONCE = { isOnce: true, on: plainDate('2026-03-16'), why: '' }
const context = defaultContext({ trainingAgeMonths: 40 })
const arms = session(
  'warm-up 1 x 12, then 3 x 8-12, rir 1'.replace(/^/, 'barbell_curl ') +
    '\npushdown_rope 4 x 10-12, rir 1',
)
const pull = session('pulldown_wide 4 x 8-12, rir 2')
const plan: PlanDocument = {
  schema: 1,
  title: 'Block',
  startsOn: plainDate('2026-04-06'),
  passes: 3,
  rotation: {
    kind: 'places',
    anchor: { kind: 'floating' },
    days: [
      { role: 'arms', sessions: [arms] },
      { role: 'pull', sessions: [pull] },
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
      { role: 'rest', sessions: [] },
    ],
  },
}
const setsOf = (content: Session, least = 0): LoggedSet[] =>
  sessionSlots(content).flatMap(slot =>
    Array.from({ length: Math.max(0, plannedSets(slot.scheme) - least) }, (_, at): LoggedSet => ({
      slot: slot.id,
      exercise: slot.exercise,
      intent: slot.intent,
      set: at + 1,
      stage: 1,
      side: null,
      role: 'working',
      loadKg: 30,
      reps: 9,
      seconds: null,
      rir: 1,
      isRirOpen: false,
    })),
  )
const outcome = (
  day: number,
  state: SessionOutcome['state'],
  sets: readonly LoggedSet[] = [],
  more: Partial<SessionOutcome> = {},
): SessionOutcome => ({ day, place: 0, state, sets, minutes: null, isRecovered: null, ...more })
const reviewed = (
  outcomes: readonly SessionOutcome[],
  muscles: Parameters<typeof passReview>[0]['muscles'] = new Map(),
  of = plan,
  pass = 0,
) =>
  passReview({
    expanded: expandedBlock(of, context),
    pass,
    context,
    outcomes: new Map([[pass, outcomes]]),
    trends: [],
    muscles,
  })!

describe('a session as it was done', () => {
  test('done as planned it is the planned one, without its warm-up sets unless those were logged', () => {
    expect(
      doneSession(arms, setsOf(arms)).groupings.flatMap(({ slots }) =>
        slots.map(({ scheme }) => plannedSets(scheme)),
      ),
    ).toEqual([3, 4])
    expect(doneSession(arms, [])).toMatchObject({ groupings: [] })
  })
  test('fewer, more, something else, something besides', () => {
    const [curl, pushdown] = sessionSlots(arms)
    const base = setsOf(arms)[0]!
    const logged = [
      base,
      { ...base, set: 2 },
      ...Array.from({ length: 5 }, (_, at) => ({
        ...base,
        slot: pushdown!.id,
        exercise: exerciseId('dip'),
        set: at + 1,
      })),
      { ...base, slot: null, exercise: exerciseId('hammer_curl') },
    ]
    const done = sessionSlots(doneSession(arms, logged))
    expect(done.map(({ exercise, scheme }) => `${exercise} ${plannedSets(scheme)}`)).toEqual([
      'barbell_curl 2',
      'dip 5',
      'hammer_curl 1',
    ])
    expect(done[0]?.id).toBe(curl?.id)
  })
})

describe('a rotation looked back at', () => {
  test('is held against what was wanted of a muscle in it: the band it tells is the one it goes by', () => {
    const wanted = (mode: 'build' | 'maintain') => ({
      ...plan,
      block: {
        changes: [{ from: 1, group: 'biceps' as const, mode, on: plan.startsOn, why: 'x' }],
      },
    })
    for (const mode of ['build', 'maintain'] as const)
      for (const pass of [0, 1]) {
        const many = Array.from({ length: 8 }, () => setsOf(arms)).flat()
        const sets = many.map((set, at) => ({ ...set, set: at + 1 }))
        const row = reviewed(
          [outcome(0, 'done', sets)],
          new Map(),
          wanted(mode),
          pass,
        ).muscles.find(({ group }) => group === 'biceps')!
        const ceiling = reviewed([outcome(0, 'done', sets)], new Map(), plan, pass).muscles.find(
          ({ group }) => group === 'biceps',
        )!.band.ceiling
        if (pass === 0) expect(row.band.ceiling).toBe(ceiling)
        else expect(row.band.ceiling === ceiling).toBe(mode === 'build')
        expect(row.over).toBeCloseTo(Math.max(0, row.done - row.band.ceiling), 6)
      }
  })

  test('all done: done is due is planned', () => {
    const { muscles, setsDone, setsDue } = reviewed([
      outcome(0, 'done', setsOf(arms)),
      outcome(1, 'done', setsOf(pull)),
    ])
    expect([setsDone, setsDue]).toEqual([11, 11])
    for (const { planned, due, done } of muscles) expect([due, done]).toEqual([planned, planned])
  })
  test('one missed, one ahead: the missed is due, the other is not', () => {
    const { muscles, missed, setsDue, setsDone } = reviewed([
      outcome(0, 'missed'),
      outcome(1, 'sent'),
    ])
    expect(missed.map(({ name }) => name)).toHaveLength(1)
    expect([setsDone, setsDue]).toEqual([0, 7])
    expect(muscles.find(({ group }) => group === 'triceps')).toMatchObject({
      planned: 4,
      due: 4,
      done: 0,
    })
    expect(muscles.find(({ group }) => group === 'lats')).toMatchObject({
      planned: 4,
      due: 0,
      done: 0,
    })
  })
  test('exercises by sets, load, reps and effort', () => {
    expect(
      reviewed([
        outcome(0, 'done', setsOf(arms, 1)),
        outcome(1, 'done', setsOf(pull)),
      ]).exercises.find(({ exercise }) => exercise === 'barbell_curl'),
    ).toMatchObject({
      setsDue: 3,
      setsDone: 2,
      topKg: 30,
      repsPlanned: 10,
      repsDone: 9,
      rirPlanned: 1,
      rirDone: 1,
    })
  })
  test('a trend that falls while answers say not recovered asks for fewer sets; the last rotation asks for nothing', () => {
    const falling = { ...datedTrend([]), verdict: 'decline' as const, slope: -0.02, error: 0.004 }
    const outcomes = [
      outcome(0, 'done', setsOf(arms), { isRecovered: false }),
      outcome(1, 'done', setsOf(pull), { isRecovered: false }),
    ]
    const { adjustments, notRecovered } = reviewed(outcomes, new Map([['triceps', falling]]))
    expect(notRecovered).toBe(2)
    expect(adjustments.find(({ group }) => group === 'triceps')).toMatchObject({
      row: 'A5',
      evidence: { verdict: 'decline', notRecovered: 1 },
    })
    expect(reviewed(outcomes, new Map(), plan, 2).adjustments).toEqual([])
    expect(reviewed([outcome(0, 'sent')]).adjustments).toEqual([])
  })
  test('sets over the target are taken out where they tire a muscle that does not recover', () => {
    const curls = session('barbell_curl 3 x 8-12, rir 1')
    const rows = session('pulldown_wide 6 x 8-12, rir 2')
    const days = plan.rotation.days.map((day, at) =>
      at === 0 || at === 2 || at === 4
        ? { role: 'pull' as const, sessions: [at === 0 ? curls : rows] }
        : { ...day, sessions: [] },
    )
    const heavy: PlanDocument = { ...plan, passes: 4, rotation: { ...plan.rotation, days } }
    const latsAfter = (pass: number, isRecovered: boolean) =>
      passReview({
        expanded: expandedBlock(heavy, context),
        pass,
        context,
        outcomes: new Map(
          Array.from({ length: pass + 1 }, (_, at) => [
            at,
            [
              outcome(0, 'done', setsOf(curls), { isRecovered }),
              outcome(2, 'done', setsOf(rows), { isRecovered: true }),
              outcome(4, 'done', setsOf(rows), { isRecovered: true }),
            ],
          ]),
        ),
        trends: [],
        muscles: new Map(),
      })!.adjustments.find(({ group }) => group === 'lats')!
    expect(latsAfter(2, false)).toMatchObject({
      row: 'A19',
      change: { kind: 'sets', by: -2 },
      evidence: { wearsOn: ['biceps'] },
    })
    // Two answers are too few to take anything away by.
    expect(latsAfter(1, false)).toMatchObject({ row: 'A12', evidence: { wearsOn: [] } })
    expect(latsAfter(2, true)).toMatchObject({ row: 'A12', evidence: { wearsOn: [] } })
  })
  test('half of the sets left out holds everything, whatever the trend', () => {
    const { adjustments } = reviewed([outcome(0, 'done', setsOf(arms, 3)), outcome(1, 'missed')])
    expect(new Set(adjustments.map(({ row }) => row))).toEqual(new Set(['A2']))
  })
})

describe('a proposal taken', () => {
  const {
    adjustments: [any],
  } = reviewed([outcome(0, 'done', setsOf(arms)), outcome(1, 'done', setsOf(pull))])
  test.each([
    {
      name: 'sets and effort',
      change: { kind: 'sets' as const, by: -2, rir: 1 },
      exceptions: [
        { kind: 'sets', pass: 1, group: 'triceps', change: -2 },
        { kind: 'rir', pass: 1, group: 'triceps', change: 1 },
      ],
    },
    {
      name: 'effort alone',
      change: { kind: 'rir' as const, by: 1 },
      exceptions: [{ kind: 'rir', pass: 1, group: 'triceps', change: 1 }],
    },
    {
      name: 'no step',
      change: { kind: 'hold_ramp' as const, by: -1 },
      exceptions: [{ kind: 'sets', pass: 1, group: 'triceps', change: -1 }],
    },
  ])('$name', ({ change, exceptions }) =>
    expect(
      withAdjustment(plan, 1, { ...any!, group: 'triceps', change }, context, ONCE).block
        ?.exceptions,
    ).toEqual(exceptions),
  )
  test('an easier rotation; twice adds up; by hand changes nothing', () => {
    expect(
      withAdjustment(plan, 1, { ...any!, group: null, change: { kind: 'deload' } }, context, ONCE)
        .block?.deloads,
    ).toEqual([1])
    const once = withAdjustment(
      plan,
      1,
      { ...any!, group: 'triceps', change: { kind: 'sets', by: 1, rir: 0 } },
      context,
      ONCE,
    )
    expect(
      withAdjustment(
        once,
        1,
        { ...any!, group: 'triceps', change: { kind: 'sets', by: 1, rir: 0 } },
        context,
        ONCE,
      ).block?.exceptions,
    ).toMatchObject([{ change: 2 }])
    expect(withAdjustment(plan, 1, { ...any!, change: { kind: 'by_hand' } }, context, ONCE)).toBe(
      plan,
    )
  })
  test('the next rotation then has those sets', () => {
    const more = withAdjustment(
      plan,
      1,
      { ...any!, group: 'triceps', change: { kind: 'sets', by: 2, rir: 0 } },
      context,
      ONCE,
    )
    const setsIn = (pass: number) =>
      expandedBlock(more, context)
        .passes[pass]!.sessions.flatMap(({ content }) => sessionSlots(content))
        .filter(({ exercise }) => exercise === 'pushdown_rope')
        .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
    expect([setsIn(0), setsIn(1), setsIn(2)]).toEqual([4, 6, 4])
  })
  test('keys tell what is about another muscle or another number', () =>
    expect(
      adjustmentKey({
        ...any!,
        row: 'A7',
        group: 'biceps',
        change: { kind: 'sets', by: 2, rir: 0 },
      }),
    ).toBe('A7 biceps sets 2'))
})

test('minutes are held against the estimate, whatever the client’s own times are', () => {
  const slow = { rest: 2, setUp: 2, set: 1, low: 0.9, high: 1.1, sessions: 8 }
  const own = { ...context, client: { ...context.client, times: slow } }
  const of = (within: typeof context) =>
    passReview({
      expanded: expandedBlock(plan, within),
      pass: 0,
      context: within,
      outcomes: new Map([[0, [outcome(0, 'done', setsOf(arms), { minutes: 50 })]]]),
      trends: [],
      muscles: new Map(),
    })!.minutes
  expect(of(own)).toEqual(of(context))
})

test('while arm work waits for its base nobody proposes sets of it, however far under its floor it is', () => {
  const based = (weeks: number) => ({ ...plan, passes: 6, block: { base: { weeks } } })
  const grown = (of: PlanDocument, at: number) => {
    const done = [outcome(1, 'done', setsOf(pull))]
    return passReview({
      expanded: expandedBlock(of, context),
      pass: at,
      context,
      outcomes: new Map(Array.from({ length: at + 1 }, (_, pass) => [pass, done] as const)),
      trends: [],
      muscles: new Map(),
    })!.adjustments.flatMap(({ group, change }) =>
      change.kind === 'sets' && change.by > 0 ? [group] : [],
    )
  }
  /** With one curl that is held fixed, and so goes on through the base. */
  const held = (weeks: number): PlanDocument => {
    const [day, ...others] = plan.rotation.days
    const [first, ...rest] = arms.groupings
    const kept = { ...first!, slots: [{ ...first!.slots[0], isHeld: true as const }] as const }
    const sessions = [{ ...arms, groupings: [kept, ...rest] }]
    return {
      ...based(weeks),
      rotation: { ...plan.rotation, days: [{ ...day!, sessions }, ...others] },
    }
  }
  expect(grown(held(5), 2)).toEqual(['lats'])
  // Once the base is over in the next rotation, what is missing is asked for.
  expect(grown(based(3), 2)).toContain('biceps')
  expect(grown(based(5), 2)).toEqual(['lats'])
})
