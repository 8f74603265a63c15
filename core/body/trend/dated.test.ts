import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate, seededRandom } from '../../base'
import { BUILT_IN_CATALOGUE } from '../../plan/catalogue'
import type { SetUp } from '../../plan/scheme'
import type { DatedValue } from '../log'
import { allTrends, datedTrend, exerciseTrends, muscleTrends } from '.'

const FROM = plainDate('2026-01-05')
const value = (week: number, kg: number, more: Partial<DatedValue> = {}): DatedValue => ({
  exercise: 'incline_dumbbell_curl',
  on: addDays(FROM, Math.round(week * 7)),
  value: kg,
  repsToFailure: 8,
  ...more,
})
const WEEKS = Array.from({ length: 20 }, (_, at) => at / 2)
const steady = (weeks: readonly number[], base: number, setUp?: SetUp) =>
  weeks.map(week => value(week, base * Math.exp(0.015 * week), { setUp }))

describe('a trend over a change of set-up', () => {
  const changed = [
    ...steady(WEEKS.slice(0, 10), 30, { bench: 60 }),
    // A flatter bench costs a fifth of the load; strength rises as it did.
    ...steady(WEEKS.slice(10), 24, { bench: 30 }),
  ]
  test('is the rise that both lines have, not the fall between them', () => {
    expect(datedTrend(changed).slope).toBeCloseTo(0.015, 3)
    const asOne = datedTrend(changed.map(({ setUp: _, ...rest }) => rest))
    expect(asOne.slope).toBeLessThan(0)
  })
  test('is less sure than one line of as many days', () => {
    expect(datedTrend(changed).error).toBeGreaterThan(1.3 * datedTrend(steady(WEEKS, 30)).error)
  })
  test('a flat client who changes the set-up half way is hardly ever told falling', () => {
    const random = seededRandom(11)
    const noise = () => [0, 0, 0, 0].reduce(sum => sum + random() - 0.5, 0) * 0.05
    let falls = 0
    for (let client = 0; client < 200; client++) {
      const values = WEEKS.map(week =>
        value(week, (week < 5 ? 30 : 25) * Math.exp(noise()), {
          setUp: { bench: week < 5 ? 60 : 30 },
        }),
      )
      if (datedTrend(values).verdict === 'decline') falls++
    }
    expect(falls / 200).toBeLessThan(0.05)
  })
})

test('an exercise of more than 20 reps is not judged, and says so', () => {
  const high = WEEKS.map(week => value(week, 20 + week, { repsToFailure: 26 }))
  expect(datedTrend(high)).toMatchObject({ verdict: 'insufficient', isHighReps: true })
})

test('a muscle goes by all exercises that train it directly', () => {
  const both = WEEKS.flatMap(week => [
    value(week, 30 * Math.exp(0.012 * week)),
    value(week, 40 * Math.exp(0.012 * week), { exercise: 'cable_curl' }),
    value(week, 40, { exercise: 'pushdown_rope' }),
  ])
  const muscles = muscleTrends(both, BUILT_IN_CATALOGUE)
  expect(muscles.get('biceps')!.slope).toBeCloseTo(0.012, 3)
  expect(muscles.get('biceps')!.error).toBeLessThan(
    datedTrend(both.filter(one => one.exercise === 'cable_curl')).error,
  )
  expect(muscles.get('triceps')!.slope).toBeCloseTo(0, 3)
  expect(muscles.get('quads')).toBeUndefined()
})

test('tiredness that is known is taken off; where it is not, days count as usual', () => {
  // The same true strength, but the later weeks come more tired.
  const tired = WEEKS.map(week => value(week, 40 * (1 - 0.18 * (week / 20)), { tired: week / 20 }))
  const unknown = tired.map(({ tired: _, ...rest }) => rest)
  expect(datedTrend(tired).slope).toBeGreaterThan(datedTrend(unknown).slope + 0.002)
})

describe('trends by exercise and by muscle, asked for together', () => {
  const told = [
    'incline_dumbbell_curl',
    'bench_press_dumbbell',
    'machine_row',
    'hammer_curl',
  ].flatMap((exercise, at) =>
    steady(WEEKS, 20 + 7 * at).map(one => ({ ...one, exercise, value: one.value + (at % 3) })),
  )
  test('are what each says by itself', () => {
    const { exercises, muscles } = allTrends(told, BUILT_IN_CATALOGUE)
    expect(exercises).toEqual(exerciseTrends(told))
    expect(muscles).toEqual(muscleTrends(told, BUILT_IN_CATALOGUE))
    expect(exercises.map(({ exercise }) => exercise)).toHaveLength(4)
    for (const { exercise, trend } of exercises)
      expect(trend).toEqual(datedTrend(told.filter(one => one.exercise === exercise)))
  })
  test('a muscle has the trend of exactly the exercises that train it directly', () => {
    const { muscles } = allTrends(told, BUILT_IN_CATALOGUE)
    const of = (...exercises: string[]) =>
      datedTrend(told.filter(({ exercise }) => exercises.includes(exercise)))
    expect(muscles.get('biceps')).toEqual(of('incline_dumbbell_curl'))
    expect(muscles.get('chest')).toEqual(of('bench_press_dumbbell'))
    expect(muscles.has('quads')).toBe(false)
  })
})
