import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, GROUPS, requireExercise, requireIntent } from '../../plan/catalogue'
import { countedWorkOfDay } from '../../count/ledger'
import { contextWith, COMPOUNDS_THEN_ARMS, defaultContext, STEADY_MIDDLE } from '../../plan/method'
import { type SetRun, withSetsAdded } from '../../plan/scheme'
import type { RotationDay } from '../../plan/rotation'
import { planArbitrary, slotArbitrary } from '../../testing/arbitraries'
import { day, drop, pause, planOf, REST_DAY, sets, straight, work } from '../../testing/notation'
import { cyclicLeftovers, type Dose, hoursToReady, readinessPercent, tauHours } from './decay'
import { extensionFactor, impulsesOf, proximityFactor, setImpulse } from './impulse'
import { ownPace } from './ownPace'
import { fatigueSources, readinessState, rotationRecovery } from './rotationRecovery'

test.each([
  [100, 'ready'],
  [90, 'ready'],
  [89.9, 'nearly'],
  [80, 'nearly'],
  [79.9, 'part'],
  [65, 'part'],
  [64.9, 'not'],
  [0, 'not'],
])('%s %% of readiness is %s', (percent, state) => {
  expect(readinessState(percent)).toBe(state)
})

const mid = defaultContext({ trainingAgeMonths: 24 })
const adv = defaultContext({ trainingAgeMonths: 50 })
const impulse = (id: string, run: SetRun, context = mid, exposure?: number) => {
  const exercise = requireExercise(BUILT_IN_CATALOGUE, id)
  return setImpulse(
    run,
    exercise,
    requireIntent(exercise, null),
    context,
    exposure === undefined ? {} : { exposure },
  )
}
const one = (...stages: Parameters<typeof sets>[1]) => sets(1, stages)
const lower = { range: { kind: 'part', from: 0, to: 0.5 } } as const
const sevens = one(
  work(7, undefined, lower),
  work(7, undefined, { range: { kind: 'part', from: 0.5, to: 1 } }),
  work(7, 1),
)
const left = (doses: readonly Dose[], hour: number, tau: number) =>
  doses
    .filter(dose => dose.hour < hour)
    .reduce((sum, dose) => sum + dose.impulse * Math.exp(-(hour - dose.hour) / tau), 0)
const dayImpulses = (of: RotationDay) => impulsesOf(countedWorkOfDay(of, mid), mid)

describe('what a set costs (domain-2 R1 to R8)', () => {
  test.each([
    {
      name: 'R1 nearness to failure',
      actual: [1.5, 0, -2, 7].map(proximityFactor),
      expected: [1.05, 1.25, 1.4, 0.7],
    },
    {
      name: 'R2 three curls, adv',
      actual: [3 * impulse('cable_curl', one(work(10, 1)), adv, 5)],
      expected: [2.97],
    },
    {
      name: 'R3 a first overhead extension',
      actual: [impulse('overhead_extension_rope', one(work(12, 0)), mid, 1)],
      expected: [2.156],
    },
    {
      name: 'R4 a drop',
      actual: [
        extensionFactor(one(work(10, 0), drop(8, 0))),
        impulse('cable_curl', one(work(10, 0), drop(8, 0))),
      ],
      expected: [1.32, 1.65],
    },
    {
      name: 'R5 rest-pause',
      actual: [extensionFactor(one(work(12, 0), pause(15), work(4, 0), pause(15), work(3, 0)))],
      expected: [1.28],
    },
    {
      name: 'R6 a double drop is capped',
      actual: [
        extensionFactor(one(work(10, 0), drop(9, 0), drop(9, 0))),
        impulse('cable_curl', one(work(10, 0), drop(9, 0), drop(9, 0))),
      ],
      expected: [1.6, 2],
    },
    {
      name: 'R7 three ranges',
      actual: [extensionFactor(sevens), impulse('cable_curl', sevens)],
      expected: [1, 1.1],
    },
    {
      name: 'R8 partials and a hold',
      actual: [
        impulse(
          'cable_curl',
          one(work(10, 0), work(6, undefined, lower), {
            kind: 'hold',
            at: 'lengthened',
            seconds: 15,
          }),
        ),
      ],
      expected: [1.778],
    },
    {
      name: 'restricted flow costs less',
      actual: [impulse('cable_curl', { ...one(work(30, 2)), protocol: 'restricted_flow' })],
      expected: [0.7],
    },
  ])('$name', ({ actual, expected }) =>
    actual.forEach((value, at) => expect(value).toBeCloseTo(expected[at] ?? NaN, 3)),
  )
})

describe('how it decays (domain-2 R9 to R18)', () => {
  const press = [straight('bench_press_barbell', 10, 8, 2)]
  test.each([
    {
      name: 'R9',
      actual: [24, 48, 72].map(hour =>
        readinessPercent('biceps', left([{ hour: 0, impulse: 6 }], hour, 30)),
      ),
      expected: [77.5, 89.9, 95.5],
    },
    {
      name: 'R10',
      actual: [4, 6, 8, 12.5].map(fatigue => hoursToReady('biceps', fatigue, mid)),
      expected: [36.1, 48.3, 56.9, 70.3],
    },
    {
      name: 'R11 the push day',
      actual: [dayImpulses(day(...press, straight('pushdown_bar', 2, 12, 1))).get('triceps') ?? 0],
      expected: [7.2],
    },
    {
      name: 'R11 readiness after it',
      actual: [24, 48].map(hour =>
        readinessPercent('triceps', left([{ hour: 0, impulse: 7.2 }], hour, 28)),
      ),
      expected: [74.5, 89.2],
    },
    {
      name: 'R11 hours to ready',
      actual: [24, 48].map(hour =>
        hoursToReady('triceps', left([{ hour: 0, impulse: 7.2 }], hour, 28), mid),
      ),
      expected: [26.2, 2.2],
    },
    {
      name: 'R12 without the pushdowns',
      actual: [
        dayImpulses(day(...press)).get('triceps') ?? 0,
        ...[24, 48].map(hour =>
          readinessPercent('triceps', left([{ hour: 0, impulse: 5 }], hour, 28)),
        ),
      ],
      expected: [5, 82.3, 92.5],
    },
    {
      name: 'R13 the pull day',
      actual: [
        dayImpulses(
          day(
            straight('seated_cable_row', 4, 10, 2),
            straight('pulldown_neutral', 4, 10, 1),
            straight('cable_curl', 3, 10, 1),
          ),
        ).get('biceps') ?? 0,
      ],
      expected: [7.5],
    },
    {
      name: 'R14 two days before',
      actual: [
        left(
          [
            { hour: 0, impulse: 5 },
            { hour: 24, impulse: 3 },
          ],
          48,
          28,
        ),
      ],
      expected: [2.174],
    },
    {
      name: 'R15 the most that is ready after 48 h',
      actual: [1.2 * Math.exp(48 / 28)],
      expected: [6.66],
    },
    {
      name: 'R17 forearms yesterday',
      actual: [readinessPercent('forearms', left([{ hour: 0, impulse: 5 }], 24, 22))],
      expected: [88],
    },
    {
      name: 'R18 slowed',
      actual: [
        tauHours('triceps', {
          ...mid,
          client: {
            ...mid.client,
            recoveryPace: { triceps: 1.2 },
            slowedBy: ['energy_deficit', 'short_sleep'],
          },
        }),
      ],
      expected: [40.66],
    },
  ])('$name', ({ actual, expected }) =>
    actual.forEach((value, at) =>
      expect(value).toBeCloseTo(
        expected[at] ?? NaN,
        expected[at] === 6.66 || expected[at] === 40.66 ? 2 : 1,
      ),
    ),
  )

  test('R16 a rotation repeated for long', () => {
    const fatigue = cyclicLeftovers(
      [
        { hour: 24, impulse: 7.5 },
        { hour: 96, impulse: 8 },
      ],
      96,
      168,
      30,
    ).reduce((sum, { left: rest }) => sum + rest, 0)
    expect(fatigue).toBeCloseTo(0.713, 3)
    expect(readinessPercent('biceps', fatigue)).toBeCloseTo(94.1, 1)
  })
})

describe('threads of a rotation', () => {
  const rotation = planOf(
    day(straight('bench_press_barbell', 10, 8, 2), straight('pushdown_bar', 2, 12, 1)),
    day(straight('pushdown_bar', 4, 12, 1)),
    REST_DAY,
    REST_DAY,
    REST_DAY,
    REST_DAY,
    REST_DAY,
  ).rotation
  test('M6 lead work 24 h after a press day falls short by 15.5 or 10.5 points, by method', () => {
    const shortfall = (method: typeof STEADY_MIDDLE) => {
      const arrival = rotationRecovery(rotation, contextWith(method, { trainingAgeMonths: 24 }))
        .arrivals.triceps[1]
      return [
        arrival?.role,
        arrival?.thread,
        Number(((arrival?.required ?? 0) - (arrival?.readiness ?? 0)).toFixed(1)),
        arrival?.hoursSince,
      ]
    }
    expect(shortfall(STEADY_MIDDLE)).toEqual(['lead', 'frayed', 15.6, 24])
    expect(shortfall(COMPOUNDS_THEN_ARMS)).toEqual(['lead', 'frayed', 10.6, 24])
  })
  test('the first exposure comes over the turn of the rotation; sources name the day', () => {
    const recovery = rotationRecovery(rotation, mid)
    const [first, second] = recovery.arrivals.triceps
    expect([first?.fromDay, first?.hoursSince, first?.thread]).toEqual([1, 144, 'whole'])
    expect(second && fatigueSources(recovery, second, mid)).toMatchObject([{ day: 0, session: 0 }])
  })
})

describe("the client's own pace (R20, R21, by the newer method)", () => {
  const rows = [
    [7.2, 24, -0.075],
    [6.6, 72, 0.01],
    [7.2, 48, -0.03],
    [6.0, 24, -0.06],
    [6.6, 96, 0.015],
    [7.2, 24, -0.08],
    [6.0, 48, -0.02],
    [6.6, 72, 0.005],
    [7.2, 48, -0.035],
    [6.0, 120, 0.02],
  ] as const
  test('R20', () => {
    const result = ownPace(
      rows.map(([dose, hours, deviation]) => ({ doses: [{ impulse: dose, hours }], deviation })),
      'biceps',
    )
    expect(
      result.kind === 'pace' &&
        [result.pace, result.low, result.high].map(value =>
          Number(value.toFixed(result.kind === 'pace' && value === result.pace ? 3 : 2)),
        ),
    ).toEqual([1.136, 0.81, 1.6])
  })
  test('R21 too few exposures, or gaps all alike', () => {
    const few = rows
      .slice(0, 7)
      .map(([dose, hours, deviation]) => ({ doses: [{ impulse: dose, hours }], deviation }))
    const alike = Array.from({ length: 12 }, () => ({
      doses: [{ impulse: 6, hours: 72 }],
      deviation: 0,
    }))
    expect([ownPace(few, 'biceps').kind, ownPace(alike, 'biceps').kind]).toEqual([
      'not_enough_data',
      'not_enough_data',
    ])
  })
})

test('readiness stays within 0 and 100, and one more set never raises it', () => {
  fc.assert(
    fc.property(planArbitrary, slotArbitrary, ({ rotation }, extra) => {
      const withSlot = (held: typeof extra) => ({
        ...rotation,
        days: [...rotation.days.slice(0, 13), day(held)],
      })
      const [before, after] = [
        rotationRecovery(withSlot(extra), mid),
        rotationRecovery(withSlot({ ...extra, scheme: withSetsAdded(extra.scheme, 1) }), mid),
      ]
      for (const group of GROUPS) {
        before.arrivals[group].forEach((arrival, at) => {
          expect(arrival.readiness).toBeGreaterThanOrEqual(0)
          expect(arrival.readiness).toBeLessThanOrEqual(100)
          expect(after.arrivals[group][at]?.readiness ?? 0).toBeLessThanOrEqual(
            arrival.readiness + 1e-9,
          )
        })
      }
    }),
    { numRuns: 60 },
  )
})
