import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '#core/base'
import { run } from './commands'

const START = plainDate('2026-01-05')
/** Two sessions a week of three sets of curls; strength changes by a share a week. */
const log = (aWeek: number, sessions: number, more: object = {}) => ({
  name: 'Somebody made up',
  sessions: Array.from({ length: sessions }, (_, at) => ({
    on: addDays(START, Math.round(at * 3.5)),
    sets: [0, 1, 2].map(set => ({
      exercise: 'cable_curl',
      set: set + 1,
      loadKg: 30 * Math.exp((aWeek * at) / 2),
      reps: 10,
      rir: 1,
    })),
  })),
  ...more,
})
const verdicts = (value: unknown, ...options: readonly string[]) =>
  run(['verdicts', 'log.json', ...options], () => JSON.stringify(value))
const printed = (value: unknown, ...options: readonly string[]) => {
  const { code, out, errors } = verdicts(value, ...options)
  expect([code, errors]).toEqual([0, undefined])
  return JSON.parse(out!) as {
    exercises: Record<string, unknown>[]
    muscles: Record<string, unknown>[]
    leftOut: unknown[]
  }
}

describe('verdicts of a log from outside', () => {
  test.each([
    ['rising', 0.02, 24, 'progress'],
    ['falling', -0.02, 24, 'decline'],
    ['five sessions', 0.02, 5, 'insufficient'],
    ['ten sessions', 0.001, 10, 'unclear'],
  ])('%s', (_, aWeek, sessions, verdict) => {
    const { exercises, muscles } = printed(log(aWeek, sessions))
    expect(exercises).toMatchObject([{ exercise: 'cable_curl', sessions, verdict }])
    expect(muscles.find(({ muscle }) => muscle === 'biceps')).toMatchObject({ verdict })
    if (verdict === 'progress') {
      const [one] = exercises
      expect(one!.slope).toBeCloseTo(2, 1)
      expect(one!.since).toMatch(/^2026-0[123]-\d\d$/)
      expect(one!.up).toBeGreaterThan(0)
    }
  })
  test('many clients come back in their order; a day to look at cuts what is later', () => {
    const { code, out } = verdicts([log(0.02, 24, { name: 'A' }), log(0, 24, { name: 'B' })])
    expect(code).toBe(0)
    expect((JSON.parse(out!) as { name: string }[]).map(({ name }) => name)).toEqual(['A', 'B'])
    expect(printed(log(0.02, 24), '--on', '2026-01-30').exercises).toMatchObject([{ sessions: 8 }])
  })
  test('a typing error of ten times is told and left out', () => {
    const slipped = log(0, 20)
    for (const set of slipped.sessions[9]!.sets) set.loadKg *= 10
    const { leftOut, exercises } = printed(slipped)
    expect(leftOut).toEqual([
      { exercise: 'cable_curl', on: slipped.sessions[9]!.on, reason: 'outlier' },
    ])
    expect(['plateau', 'unclear']).toContain(exercises[0]!.verdict)
  })
  test('only sets of 25 reps are not judged', () => {
    const high = log(0.01, 20)
    for (const { sets } of high.sessions) for (const set of sets) set.reps = 25
    expect(printed(high).exercises).toMatchObject([
      { verdict: 'insufficient', note: 'sets of more than 20 reps are not judged' },
    ])
  })
  test.each([
    [
      'an answer of 11 kinds',
      {
        sessions: [
          { on: '2026-01-05', sets: [{ exercise: 'cable_curl', set: 1, loadKg: 'x', reps: 10 }] },
        ],
      },
      '/sessions/0/sets/0/loadKg',
    ],
    ['no sessions', { name: 'Nobody' }, '/'],
    ['a day that is none', { sessions: [{ on: '2026-13-05', sets: [] }] }, '/sessions/0/on'],
  ])('%s is named', (_, value, pointer) => {
    const { code, errors } = verdicts(value)
    expect(code).toBe(1)
    expect(errors!.some(error => error.startsWith(`${pointer}:`))).toBe(true)
  })
})
