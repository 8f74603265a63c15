import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '#core/base'
import { BUILT_IN_CATALOGUE } from '#core/plan/catalogue'
import { ownDecision } from '#core/follow/review'
import { planIn, written } from '../../core/testing/shorthandPlans'
import { siftFacts, trendsOf } from './trends'

const plan = {
  ...planIn(7, written('arms', 'cable_curl 3 x 12')),
  startsOn: plainDate('2026-03-02'),
  passes: 4,
  block: { deloads: [2] },
}
const report = (score: number, on: string, joint: 'wrist' | 'low_back' = 'wrist') => ({
  joint,
  side: 'left' as const,
  score,
  on: plainDate(on),
  nextMorning: null,
  hasAlarmSign: false,
  atHour: 0,
  clientId: 'x' as never,
})
const facts = siftFacts({
  plan,
  catalogue: BUILT_IN_CATALOGUE,
  reports: [
    report(5, '2026-03-04'),
    report(4, '2026-03-05'),
    report(9, '2026-03-06', 'low_back'),
  ] as never,
  decisions: [
    {
      decision: 'taken',
      proposal: ownDecision('O1', {
        kind: 'confirm',
        exercise: exerciseId('cable_curl'),
        on: plainDate('2026-03-04'),
        value: 90,
      }),
    },
    {
      decision: 'refused',
      proposal: ownDecision('O1', {
        kind: 'confirm',
        exercise: exerciseId('cable_curl'),
        on: plainDate('2026-03-11'),
        value: 90,
      }),
    },
  ],
})
const value = (on: string, kg: number) => ({
  exercise: exerciseId('cable_curl'),
  on: plainDate(on),
  value: kg,
  repsToFailure: 12,
})

describe('what is known of the days of a log', () => {
  test.each([
    ['2026-03-15', false],
    ['2026-03-16', true],
    ['2026-03-22', true],
    ['2026-03-23', false],
  ] as const)('easier days: %s %s', (on, is) => expect(facts.isDeload(plainDate(on))).toBe(is))
  test('pain of five on a joint the exercise loads, not less, not elsewhere', () => {
    expect(
      ['2026-03-04', '2026-03-05', '2026-03-06'].map(on =>
        facts.isPainful('cable_curl', plainDate(on)),
      ),
    ).toEqual([true, false, false])
    expect(facts.isPainful('gone_from_the_library', plainDate('2026-03-04'))).toBe(false)
  })
  test('confirmed is what was taken, with its very value', () =>
    expect(
      [value('2026-03-04', 90), value('2026-03-04', 91), value('2026-03-11', 90)].map(
        facts.isConfirmed,
      ),
    ).toEqual([true, false, false]))
  test('without a plan no day is easier', () =>
    expect(
      siftFacts({ plan: null, catalogue: BUILT_IN_CATALOGUE, reports: [], decisions: [] }).isDeload(
        plainDate('2026-03-16'),
      ),
    ).toBe(false))
})

test('one log entry has no trend, and says how far it is', () => {
  expect(trendsOf([value('2026-03-02', 40)])).toMatchObject([
    { exercise: 'cable_curl', trend: { verdict: 'insufficient', count: 1 } },
  ])
  expect(trendsOf([])).toEqual([])
})
