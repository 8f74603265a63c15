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
      'a load that is no number',
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

describe('recovery rates of a log from outside', () => {
  /** Many curls after one, two, three and six days by turns; whoever recovers slowly is weaker after a short gap. */
  const spaced = (loss: number, count: number, answers: (isShort: boolean) => object) => {
    let day = START
    return {
      sessions: Array.from({ length: count }, (_, at) => {
        const gap = [1, 6, 2, 3][at % 4]!
        const isShort = gap <= 2
        day = addDays(day, gap)
        return {
          on: day,
          ...answers(isShort),
          sets: [0, 1, 2, 3, 4, 5, 6, 7].map(set => ({
            exercise: 'cable_curl',
            set: set + 1,
            loadKg: 40 * (isShort ? 1 - loss : 1),
            reps: 10,
            rir: 1,
          })),
        }
      }),
    }
  }
  const rates = (value: unknown, ...options: readonly string[]) => {
    const { code, out, errors } = run(['rates', 'log.json', ...options], () =>
      JSON.stringify(value),
    )
    expect([code, errors]).toEqual([0, undefined])
    const { muscles } = JSON.parse(out!) as { muscles: Record<string, number | string>[] }
    return muscles.find(({ muscle }) => muscle === 'biceps')
  }
  test('weaker after short gaps, and saying so, is slow; strong after them, and fresh, is quick', () => {
    const slow = rates(spaced(0.12, 24, isShort => ({ recovery: isShort ? 3 : 9 })))!
    const quick = rates(spaced(0, 24, () => ({ isRecovered: true })))!
    expect(slow.rate).toBeGreaterThan(1.05)
    expect(quick.rate).toBeLessThan(1)
    for (const { low, rate, high } of [slow, quick] as Record<string, number>[])
      expect(low! < rate! && rate! < high!).toBe(true)
    expect(slow.sessions).toBe(23)
  })
  test('answers alone put nothing in force: strength has to agree', () => {
    const said = rates(spaced(0, 24, () => ({ recovery: 1 })))!
    expect(said.isInForce).toBe(false)
  })
  test('too few, or painful days, say nothing', () => {
    expect(rates(spaced(0.12, 6, () => ({})))).toMatchObject({ why: 'few', isInForce: false })
    const log = spaced(0.12, 24, () => ({}))
    const pain = log.sessions.map(({ on }) => ({ reportedAt: `${on}T18:00:00.000Z`, score: 4 }))
    expect(rates({ ...log, pain })).toBeUndefined()
  })
  test('an answer of 11 is named', () => {
    const { code, errors } = run(['rates', 'log.json'], () =>
      JSON.stringify(spaced(0, 4, () => ({ recovery: 11 }))),
    )
    expect(code).toBe(1)
    expect(errors![0]).toMatch(/^\/sessions\/0\/recovery:/)
  })
  test('many clients come back in their order', () => {
    const { out } = run(['rates', 'log.json'], () =>
      JSON.stringify([
        { ...log(0, 4), name: 'A' },
        { ...log(0, 4), name: 'B' },
      ]),
    )
    expect((JSON.parse(out!) as { name: string }[]).map(({ name }) => name)).toEqual(['A', 'B'])
  })
})
