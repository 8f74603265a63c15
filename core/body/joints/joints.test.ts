import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  BUILT_IN_CATALOGUE,
  type Exercise,
  type Joint,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import { countedWorkOfDay } from '../../count/ledger'
import { defaultContext, type PainLevel } from '../../plan/method'
import { type SetRun, withSetsAdded } from '../../plan/scheme'
import { slotArbitrary } from '../../testing/arbitraries'
import { day, drop, planOf, REST_DAY, sets, straight, work } from '../../testing/notation'
import { jointCeiling, jointLoads, rotationJoints, setJointLoad } from './jointLoad'
import { painLevel, returnAllowance } from './pain'
import { jointRamp } from './ramp'

const adv = defaultContext({ trainingAgeMonths: 50 })
/** Load on a joint of an exercise whose stress there is given. */
function load(run: SetRun, joint: Joint, stress: 0 | 1 | 2 | 3, exposure?: number): number {
  const exercise: Exercise = requireExercise(BUILT_IN_CATALOGUE, 'lying_extension_cambered')
  const intent = {
    ...exercise.intents[0],
    jointStress: { ...exercise.intents[0].jointStress, [joint]: stress },
  }
  return run.count * setJointLoad(run, exercise, intent, joint, adv, exposure)
}

describe('load of sets (domain-2 J-1 to J-5)', () => {
  test.each([
    ['J-1 four moderate sets', load(sets(4, [work(10, 2)]), 'elbow_extensor_side', 2), 8],
    [
      'J-2 eights to failure, locked out hard',
      load(sets(4, [work(8, 0, { lockOut: 'hard' })]), 'elbow_extensor_side', 2),
      11.132,
    ],
    [
      'J-3 high stress, third time',
      load(sets(3, [work(12, 1)]), 'elbow_extensor_side', 3, 3),
      10.395,
    ],
    ['J-4 a drop set', load(sets(1, [work(10, 0), drop(8, 0)]), 'elbow_flexor_side', 2), 2.904],
    [
      'J-5 a week',
      load(sets(12, [work(12, 1)]), 'elbow_extensor_side', 1) +
        load(sets(6, [work(10, 2)]), 'elbow_extensor_side', 2) +
        load(sets(16, [work(8, 2)]), 'elbow_extensor_side', 1),
      43,
    ],
    [
      'warm-up sets put nothing on it',
      load(sets(3, [work(10)], { role: 'warmup' }), 'wrist', 3),
      0,
    ],
  ])('%s', (_, actual, expected) => expect(actual).toBeCloseTo(expected, 3))
})

describe('weeks of a joint (domain-2 J-6 to J-8)', () => {
  const weeks = [30, 32, 31].map(held => ({ load: held, isDeload: false, adherence: 1 }))
  test('J-6 a steep rise, with what to take away', () => {
    const verdict = jointRamp(43, [...weeks, { load: 16, isDeload: true, adherence: 1 }])
    expect(verdict).toMatchObject({ kind: 'steep', baseline: 31 })
    expect(
      verdict.kind === 'steep' &&
        [verdict.ramp, verdict.surplus].map(value => Number(value.toFixed(3))),
    ).toEqual([1.387, 5.8])
  })
  test("J-7 a small rise is nobody's business", () => {
    expect(
      jointRamp(
        12,
        [8, 8].map(held => ({ load: held, isDeload: false, adherence: 1 })),
      ),
    ).toEqual({ kind: 'steady', ramp: 1.5 })
  })
  test('one week is no history; weeks hardly trained do not count', () => {
    expect(jointRamp(20, weeks.slice(0, 1))).toEqual({ kind: 'no_history' })
    expect(
      jointRamp(
        20,
        weeks.map(week => ({ ...week, adherence: 0.5 })),
      ),
    ).toEqual({ kind: 'no_history' })
  })
  test('ceilings follow training age and setting', () => {
    const of = (months: number, setting?: 'sensitive') =>
      jointCeiling(
        'wrist',
        defaultContext({
          trainingAgeMonths: months,
          ...(setting && { joints: { wrist: setting } }),
        }),
      ).week
    expect(
      [of(50), of(24), of(5), of(50, 'sensitive')].map(value => Number(value.toFixed(2))),
    ).toEqual([70, 59.5, 49, 49])
  })
  test('the largest week of a long rotation, and what each session finds', () => {
    const arms = day(straight('lying_extension_cambered', 4, 10, 2))
    const { elbow_extensor_side: elbow } = rotationJoints(
      planOf(arms, REST_DAY, arms, REST_DAY, REST_DAY, REST_DAY, REST_DAY, REST_DAY, arms).rotation,
      adv,
    )
    const one = elbow.sessions[0]?.load ?? 0
    expect(elbow.weekLoad).toBeCloseTo(3 * one, 9)
    expect(elbow.sessions[1]?.store).toBeGreaterThan(elbow.sessions[2]?.store ?? Infinity)
  })
})

describe('pain reports (domain-2 J-9 to J-11)', () => {
  const reports = (
    ...rows: readonly (readonly [day: number, session: number, morning?: number])[]
  ) =>
    rows.map(([at, session, nextMorning]) => ({
      atHour: at * 24,
      session,
      ...(nextMorning !== undefined && { nextMorning }),
    }))
  const rows: readonly { name: string; actual: PainLevel; expected: PainLevel }[] = [
    { name: 'nothing reported', actual: painLevel([]), expected: 'none' },
    {
      name: 'J-9 a rise of three',
      actual: painLevel(reports([0, 2], [2, 4], [4, 5])),
      expected: 'stop',
    },
    {
      name: 'J-10 one calm report is not enough',
      actual: painLevel(reports([0, 4], [1, 2])),
      expected: 'hold',
    },
    {
      name: 'J-10 two calm ones, two days apart',
      actual: painLevel(reports([0, 4], [1, 2], [4, 1])),
      expected: 'note',
    },
    { name: 'worse the next morning', actual: painLevel(reports([0, 0, 2])), expected: 'hold' },
    { name: 'seven', actual: painLevel(reports([0, 7])), expected: 'stop' },
    { name: 'five twice', actual: painLevel(reports([0, 5], [3, 5])), expected: 'stop' },
    { name: 'five once', actual: painLevel(reports([0, 5])), expected: 'swap' },
    {
      name: 'swap comes down to hold',
      actual: painLevel(reports([0, 5], [3, 3], [6, 2])),
      expected: 'hold',
    },
    {
      name: 'held for too long',
      actual: painLevel(reports([0, 3], [5, 3], [10, 3], [15, 3])),
      expected: 'swap',
    },
    {
      name: 'a stop does not lift itself',
      actual: painLevel(reports([0, 8], [5, 0], [10, 0])),
      expected: 'stop',
    },
    {
      name: 'five during a session and five at its end are one report',
      actual: painLevel([
        { atHour: 0, session: 5 },
        { atHour: 0.9, session: 5 },
      ]),
      expected: 'swap',
    },
    {
      name: 'of one session the worst counts',
      actual: painLevel([
        { atHour: 0, session: 3 },
        { atHour: 1, session: 7 },
        { atHour: 1.5, session: 2 },
      ]),
      expected: 'stop',
    },
    {
      name: 'the next session is another report',
      actual: painLevel([
        { atHour: 0, session: 5 },
        { atHour: 1, session: 5 },
        { atHour: 24, session: 5 },
      ]),
      expected: 'stop',
    },
    {
      name: 'an alarm sign at the end of a calm session',
      actual: painLevel([
        { atHour: 0, session: 1 },
        { atHour: 1, session: 1, hasAlarmSign: true },
      ]),
      expected: 'stop',
    },
    {
      name: 'an alarm sign',
      actual: painLevel([{ atHour: 0, session: 1, hasAlarmSign: true }]),
      expected: 'stop',
    },
  ]
  test.each(rows)('$name', ({ actual, expected }) => expect(actual).toBe(expected))
  test('J-11 the way back', () =>
    expect([1, 2, 3, 4].map(week => returnAllowance(30, week))).toEqual(
      [15, 18, 21, 24].map(value => expect.closeTo(value, 9)),
    ))
})

test('joint load is never negative, and one more set never lowers it', () => {
  fc.assert(
    fc.property(slotArbitrary, held => {
      const of = (slot: typeof held) => jointLoads(countedWorkOfDay(day(slot), adv), adv)
      const [before, after] = [of(held), of({ ...held, scheme: withSetsAdded(held.scheme, 1) })]
      for (const joint of JOINTS) {
        expect(before[joint]).toBeGreaterThanOrEqual(0)
        expect(after[joint]).toBeGreaterThanOrEqual(before[joint] - 1e-9)
      }
    }),
  )
})
