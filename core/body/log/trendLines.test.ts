import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate, seededRandom } from '../../base'
import type { SetUp } from '../../plan/scheme'
import { type DatedValue, exerciseTrend, setUpChanges, trendBand, trendPointsOf } from '.'

const FROM = plainDate('2026-01-05')
const value = (week: number, kg: number, setUp?: SetUp): DatedValue => ({
  exercise: 'incline_dumbbell_curl',
  on: addDays(FROM, Math.round(week * 7)),
  value: kg,
  repsToFailure: 8,
  setUp,
})
const steady = (weeks: readonly number[], base: number, setUp?: SetUp) =>
  weeks.map(week => value(week, base * Math.exp(0.01 * week), setUp))

describe('lines', () => {
  test('a set-up holds until another is said; the same again is the same line', () => {
    const values = [
      value(0, 20),
      value(1, 20, { bench: 45 }),
      value(2, 20),
      value(3, 20, { bench: 60 }),
      value(4, 20, { bench: 60 }),
      value(5, 20, { bench: 45 }),
    ]
    expect(trendPointsOf(values, FROM).map(({ week, line = 0 }) => [week, line])).toEqual([
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 1],
      [4, 1],
      [5, 0],
    ])
    expect(setUpChanges(values)).toEqual([
      { on: '2026-01-26', words: 'bench 60°' },
      { on: '2026-02-09', words: 'bench 45°' },
    ])
  })
  test('the first word about the set-up changes nothing', () => {
    expect(setUpChanges([value(0, 20), value(1, 20, { seat: 4 })])).toEqual([])
    expect(setUpChanges([value(0, 20), value(1, 20)])).toEqual([])
  })
})

describe('a trend over a change of set-up', () => {
  const changed = [
    ...steady([0, 0.5, 1, 1.5, 2, 2.5], 30, { bench: 60 }),
    // A flatter bench costs a fifth of the load; strength rises as it did.
    ...steady([3, 3.5, 4, 4.5, 5, 5.5], 24, { bench: 30 }),
  ]
  test('is the rise that both lines have, not the fall between them', () => {
    const trend = exerciseTrend(trendPointsOf(changed, FROM))
    expect(trend.slope).toBeCloseTo(0.01, 3)
    expect(trend.verdict).toBe('progress')
    const asOne = exerciseTrend(
      trendPointsOf(
        changed.map(({ setUp: _, ...rest }) => rest),
        FROM,
      ),
    )
    expect(asOne.verdict).toBe('decline')
  })
  test('is drawn over the line it is on now', () => {
    const points = trendPointsOf(changed, FROM)
    const band = trendBand(points, exerciseTrend(points))
    expect(band[0]?.week).toBeCloseTo(3, 1)
    expect(band.at(-1)?.middle).toBeCloseTo(24 * Math.exp(0.055), 1)
  })
  test('is less sure than one line of as many points', () => {
    const weeks = [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5]
    const one = exerciseTrend(trendPointsOf(steady(weeks, 30), FROM))
    expect(exerciseTrend(trendPointsOf(changed, FROM)).error).toBeGreaterThan(1.5 * one.error)
  })
  test('a day alone on its line says nothing', () => {
    const four = steady([0, 1, 2, 3], 30, { bench: 60 })
    const trend = exerciseTrend(trendPointsOf([...four, value(4, 24, { bench: 30 })], FROM))
    expect(trend).toMatchObject({ verdict: 'insufficient', count: 4 })
  })
  test('a flat client who changes the set-up half way is told falling about as often as the verdict allows', () => {
    const random = seededRandom(11)
    const noise = () => [0, 0, 0, 0].reduce(sum => sum + random() - 0.5, 0) * 0.05
    let falls = 0
    for (let client = 0; client < 300; client++) {
      const values = [0, 1, 2, 3, 4, 5, 6, 7].map(week =>
        value(week, (week < 4 ? 30 : 25) * Math.exp(noise()), { bench: week < 4 ? 60 : 30 }),
      )
      if (exerciseTrend(trendPointsOf(values, FROM)).verdict === 'decline') falls++
    }
    expect(falls / 300).toBeLessThan(0.25)
  })
})
