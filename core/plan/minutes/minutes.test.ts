import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { groupingId, sessionId } from '../../base'
import { BUILT_IN_CATALOGUE, type Exercise, requireExercise } from '../catalogue'
import {
  contextWith,
  defaultContext,
  DENSE_AND_SHORT,
  type Method,
  OWN_ARM_DAY,
  STEADY_MIDDLE,
} from '../method'
import { type Rest, type SetRun, withSetsAdded } from '../scheme'
import type { Grouping, GroupingKind, Session, Slot } from '../session'
import { slotArbitrary } from '../../testing/arbitraries'
import { drop, pause, sets, slot, straight, work } from '../../testing/notation'
import { pairRelation, pairedReps } from './pairing'
import { ownSessionTime, sessionTime } from './sessionTime'
import { sessionSeconds } from './timeline'
import { setSeconds } from './setSeconds'

const context = defaultContext({ trainingAgeMonths: 48 })
const exercise = (id: string): Exercise => requireExercise(BUILT_IN_CATALOGUE, id)
const seconds = (id: string, run: SetRun) => setSeconds(run, exercise(id), context).seconds
const one = (...stages: Parameters<typeof sets>[1]) => sets(1, stages)
const part = (from: number, to: number) => ({ range: { kind: 'part', from, to } }) as const

describe('seconds of one set (domain-2 T1 to T6)', () => {
  test.each([
    ['T1 twelve reps', seconds('cable_curl', one(work(12, 1))), 44],
    ['T2 a drop on a stack', seconds('cable_curl', one(work(10, 0), drop(8, 0))), 70],
    [
      'T3 twelve per side, changing at once',
      seconds('preacher_curl_dumbbell', { ...one(work(12, 1)), sideOrder: 'switch' }),
      85,
    ],
    [
      'T4 three ranges',
      seconds(
        'cambered_bar_curl',
        one(work(7, undefined, part(0, 0.5)), work(7, undefined, part(0.5, 1)), work(7, 1)),
      ),
      54.2,
    ],
    [
      'T5 rest-pause',
      seconds('cable_curl', one(work(12, 0), pause(15), work(4, 0), pause(15), work(3, 0))),
      95,
    ],
    [
      'T6 slow lowering and a hold',
      seconds(
        'cable_curl',
        one(work(10, 1, { tempo: { lower: 4, longPause: 1, lift: 1, shortPause: 0 } }), {
          kind: 'hold',
          at: 'lengthened',
          seconds: 20,
        }),
      ),
      88,
    ],
    [
      'sixteen in all, by turns',
      seconds('dumbbell_curl', {
        ...one(work(16, 1, { repsInAll: true })),
        sideOrder: 'alternating_reps',
      }),
      56,
    ],
    [
      'a running total with short rests',
      seconds(
        'cable_curl',
        one(work(11, 0), pause(20), { kind: 'work', reps: { kind: 'until_total', total: 30 } }),
      ),
      8 + 90 + 5 * 20,
    ],
    [
      'another station',
      seconds(
        'push_up',
        one(work(10, 0), work(10, 0, { exercise: { id: 'band_pushdown', intent: null } })),
      ),
      8 + 60 + 15,
    ],
  ])('%s', (_, actual, expected) => expect(actual).toBeCloseTo(expected, 9))
})

let nextId = 0
function together(
  kind: GroupingKind,
  slots: readonly [Slot, ...Slot[]],
  more: Partial<Grouping> = {},
): Grouping {
  return { id: groupingId(`g${nextId++}`), kind, placement: 'main', slots, ...more }
}
const rest = (amount: number): Rest => ({ kind: 'seconds', seconds: amount })
const resting = (held: Slot, amount: number): Slot => ({
  ...held,
  scheme: { runs: held.scheme.runs.map(run => ({ ...run, restAfter: rest(amount) })) },
})
/** A session without general warm-up, under exercises whose set-up times are given. */
function time(
  groupings: readonly Grouping[],
  setups: Readonly<Record<string, number>>,
  method: Method = STEADY_MIDDLE,
) {
  const catalogue = new Map(
    [...BUILT_IN_CATALOGUE].map(([id, held]) => [
      id,
      { ...held, setupSeconds: setups[id] ?? held.setupSeconds },
    ]),
  )
  const session: Session = { id: sessionId('s'), groupings, preparation: [] }
  return sessionTime(session, { ...contextWith(method, { trainingAgeMonths: 48 }), catalogue })
    .seconds
}
const pairSetups = {
  cable_curl: 30,
  pushdown_rope: 45,
  dumbbell_curl: 30,
  preacher_curl_dumbbell: 30,
}
const pair: readonly [Slot, ...Slot[]] = [
  straight('cable_curl', 4, 12, 1),
  straight('pushdown_rope', 4, 12, 1),
]

describe('seconds of groupings (domain-2 T3b, T7 to T12, M5)', () => {
  test.each([
    [
      'T3b one arm after the other with rests',
      time(
        [together('straight', [resting(straight('preacher_curl_dumbbell', 3, 12, 1), 45)])],
        pairSetups,
      ),
      519,
    ],
    [
      'T7 four sets of ten',
      time([together('straight', [resting(straight('dumbbell_curl', 4, 10, 1), 90)])], pairSetups),
      452,
    ],
    [
      'T8 two exercises, straight',
      time(
        pair.map(held => together('straight', [resting(held, 90)])),
        pairSetups,
      ),
      1012,
    ],
    ['T9 as a superset', time([together('superset', pair)], pairSetups), 712],
    ['T10 alternating', time([together('alternating', pair)], pairSetups), 847],
    [
      'T11 one set left over',
      time(
        [
          together('superset', [
            resting(straight('cable_curl', 4, 12, 1), 90),
            straight('pushdown_rope', 3, 12, 1),
          ]),
        ],
        pairSetups,
      ),
      668,
    ],
    [
      'T12 circuit of three',
      time(
        [
          together(
            'circuit',
            [
              straight('cable_curl', 3, 12, 1),
              straight('pushdown_rope', 3, 12, 1),
              straight('hammer_curl', 3, 12, 1),
            ],
            { restAfterRound: rest(90) },
          ),
        ],
        { ...pairSetups, hammer_curl: 15 },
      ),
      756,
    ],
    [
      'M5 own arm day',
      time([together('superset', pair)], pairSetups, { ...OWN_ARM_DAY, tempo: [2, 0, 1, 0] }),
      712,
    ],
    ['M5 dense and short', time([together('superset', pair)], pairSetups, DENSE_AND_SHORT), 647],
    [
      'a change-over is waited for',
      time([together('superset', pair, { changeOverSeconds: 40 })], pairSetups),
      712 + 4 * 25,
    ],
  ])('%s', (_, actual, expected) => expect(actual).toBeCloseTo(expected, 9))
})

test('T16 a whole arm session', () => {
  const warmed = (held: Slot): Slot => ({
    ...held,
    scheme: {
      runs: [
        sets(1, [work(10)], { role: 'warmup' }),
        sets(1, [work(4)], { role: 'warmup', restAfter: rest(60) }),
        ...held.scheme.runs,
      ],
    },
  })
  const session: Session = {
    id: sessionId('s'),
    groupings: [
      warmed(resting(straight('cambered_bar_curl', 4, 10, 2), 90)),
      warmed(resting(straight('lying_extension_cambered', 4, 10, 2), 90)),
      resting(straight('incline_dumbbell_curl', 3, 12, 2), 90),
      resting(straight('pushdown_rope', 3, 12, 2), 90),
      resting(straight('hammer_curl', 3, 12, 2), 90),
      straight('wrist_curl', 2, 15, 2),
    ].map(held => together('straight', [held])),
  }
  const setups: Readonly<Record<string, number>> = {
    cambered_bar_curl: 60,
    lying_extension_cambered: 45,
    incline_dumbbell_curl: 30,
    pushdown_rope: 45,
    hammer_curl: 20,
    wrist_curl: 20,
  }
  const catalogue = new Map(
    [...BUILT_IN_CATALOGUE].map(([id, held]) => [
      id,
      { ...held, setupSeconds: setups[id] ?? held.setupSeconds },
    ]),
  )
  expect(sessionTime(session, { ...context, catalogue }).seconds).toBe(2957)
})

describe('relative loads', () => {
  const curl = (...stages: Parameters<typeof sets>[1]) => seconds('barbell_curl', one(...stages))
  const by = (percent: number, from: 'first' | 'previous' = 'previous') => ({
    load: { kind: 'drop_percent', percent, from } as const,
  })
  test('two equal drops are two changes of load, as two different ones are', () => {
    const equal = curl(work(10), work(6, undefined, by(20)), work(4, undefined, by(20)))
    expect(equal).toBe(curl(work(10), work(6, undefined, by(20)), work(4, undefined, by(25))))
    expect(equal).toBeGreaterThan(curl(work(10), work(6, undefined, by(20)), work(4)))
  })
  test('twice the same share of the first set is one weight', () =>
    expect(
      curl(work(10), work(6, undefined, by(20, 'first')), work(4, undefined, by(20, 'first'))),
    ).toBe(curl(work(10), work(6, undefined, by(20, 'first')), work(4))))
})

describe('what is open', () => {
  test('a choice of sets and a condition give a range', () => {
    const held = slot('cable_curl', sets(3, [work(12, 1)], { countRange: { low: 2, high: 4 } }))
    const session: Session = {
      id: sessionId('s'),
      groupings: [
        together('straight', [held]),
        together('straight', [straight('wrist_curl', 2, 15, 1)], { onlyIf: 'time allows' }),
      ],
    }
    const { seconds: nominal, low, high, assumedShare } = sessionTime(session, context)
    expect(low).toBeLessThan(nominal)
    expect(high).toBeGreaterThan(nominal)
    expect(assumedShare).toBeGreaterThan(0)
  })
  test('no exercises take no time', () =>
    expect(sessionTime({ id: sessionId('s'), groupings: [] }, context)).toMatchObject({
      seconds: 0,
      groupings: [],
    }))
  test("the client's own times scale each kind of span, and the sum agrees", () => {
    const session: Session = { id: sessionId('s'), groupings: [together('superset', pair)] }
    const times = { rest: 1.5, setUp: 2, set: 0.9, low: 0.95, high: 1.1, sessions: 6 }
    const own = { ...context, client: { ...context.client, times } }
    const [usual, slow] = [sessionTime(session, context), sessionTime(session, own)]
    const factor = { set: 0.9, warmup: 0.9, rest: 1.5, inside: 1.5, setup: 2, transition: 2 }
    slow.spans.forEach(({ kind, seconds }, at) => {
      expect(seconds).toBeCloseTo(
        (usual.spans[at]?.seconds ?? 0) * (kind === 'preparation' ? 1 : factor[kind]),
        9,
      )
    })
    expect(sessionSeconds(session, own)).toBeCloseTo(slow.seconds, 9)
    const { estimated, own: taken } = ownSessionTime(session, own)
    expect(estimated).toBe(usual.seconds)
    expect(taken?.low).toBeCloseTo(slow.seconds * 0.95, 6)
    expect(taken?.high).toBeCloseTo(slow.seconds * 1.1, 6)
    expect(ownSessionTime(session, context).own).toBeNull()
  })
})

test('more sets never take less time, and none takes a negative one', () => {
  fc.assert(
    fc.property(slotArbitrary, held => {
      const timeOf = (of: Slot) =>
        sessionTime({ id: sessionId('s'), groupings: [together('straight', [of])] }, context)
          .seconds
      expect(timeOf(held)).toBeGreaterThanOrEqual(0)
      expect(timeOf({ ...held, scheme: withSetsAdded(held.scheme, 1) })).toBeGreaterThanOrEqual(
        timeOf(held),
      )
    }),
  )
})

describe('pairs', () => {
  const relation = (a: string, b: string) =>
    pairRelation(straight(a, 3, 10), straight(b, 3, 10), context)
  test.each([
    ['cable_curl', 'pushdown_rope', 'opposite'],
    ['cable_curl', 'hammer_curl', 'same_group'],
    ['bench_press_barbell', 'machine_row', 'opposite'],
    ['cable_curl', 'calf_raise_standing', 'unrelated'],
    ['wrist_curl', 'reverse_wrist_curl', 'opposite'],
    ['leg_extension', 'leg_curl_seated', 'opposite'],
  ] as const)('%s with %s: %s', (a, b, expected) => expect(relation(a, b)).toBe(expected))
  test('what is left of the later exercise', () => {
    expect([
      pairedReps('opposite', 'superset', 120, 2),
      pairedReps('opposite', 'superset', 75, 2),
      pairedReps('opposite', 'superset', 30, 2),
      pairedReps('same_group', 'superset', 90, 2),
      pairedReps('unrelated', 'circuit', 90, 4),
    ]).toEqual([1, 0.95, 0.9, 0.8, 0.93])
  })
})
