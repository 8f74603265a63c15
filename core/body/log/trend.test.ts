import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId } from '../../base'
import {
  exerciseTrend,
  type LoggedSet,
  normalShare,
  pooledTrend,
  type TrendPoint,
  trendValue,
} from '.'

const points = (
  weeks: readonly number[],
  values: readonly number[],
  repsToFailure = 8,
): TrendPoint[] => weeks.map((week, at) => ({ week, value: values[at]!, repsToFailure }))
const A1 = points([0, 1, 2, 3, 4, 5], [40, 40.5, 41.2, 41, 42, 42.6])
const A3 = points(
  [0, 0.5, 1, 2, 3, 4, 5, 6, 7],
  [40, 40.6, 39.5, 40.2, 39.8, 40.4, 39.9, 40.1, 40.2],
)
const A4 = points([0, 1, 2, 3, 4, 5], [42, 41.5, 40.6, 40.9, 39.4, 39])

test.each([
  { name: 'A-1: rising', of: A1, b: 1.242, se: 0.533, verdict: 'progress' },
  {
    name: 'A-2: one bad day changes nothing',
    of: points([0, 1, 2, 3, 4, 5], [40, 40.5, 41.2, 34, 42, 42.6]),
    b: 1.242,
    se: 0.533,
    verdict: 'progress',
  },
  { name: 'A-3: flat, and known to be flat', of: A3, b: 0.056, se: 0.284, verdict: 'plateau' },
  { name: 'A-4: falling', of: A4, b: -1.5, se: 0.54, verdict: 'decline' },
  {
    name: 'A-5: too noisy to call',
    of: points([0, 1, 2, 3, 4], [40, 41.6, 39.5, 41, 40.3]),
    b: -0.221,
    se: 0.918,
    verdict: 'unclear',
  },
])('$name', ({ of, b, se, verdict }) => {
  const trend = exerciseTrend(of)
  expect(trend.verdict).toBe(verdict)
  expect(100 * trend.slope).toBeCloseTo(b, 3)
  expect(100 * trend.error).toBeCloseTo(se, 3)
})

test('A-1 is as sure as it says', () => expect(exerciseTrend(A1).probability).toBeCloseTo(0.99, 3))

test.each([
  { name: 'four points over four weeks', of: points([0, 1, 2, 4], [40, 41, 42, 43]) },
  {
    name: 'six points within ten days',
    of: points([0, 0.2, 0.5, 0.8, 1.1, 10 / 7], [40, 41, 42, 43, 44, 45]),
  },
  { name: 'nothing at all', of: [] },
])('A-6: not enough data with $name', ({ of }) =>
  expect(exerciseTrend(of).verdict).toBe('insufficient'),
)

test('A-7: a rise and a plateau pool to a slow rise', () => {
  const pooled = pooledTrend([exerciseTrend(A1), exerciseTrend(A3)])
  expect(pooled.verdict).toBe('progress')
  expect(100 * pooled.slope).toBeCloseTo(0.428, 3)
  expect(100 * pooled.error).toBeCloseTo(0.343, 3)
  expect(pooled.probability).toBeCloseTo(0.894, 3)
})

test('A-8: a rise and a fall are mixed; nothing known stays unknown', () => {
  expect(pooledTrend([exerciseTrend(A1), exerciseTrend(A4)]).verdict).toBe('mixed')
  expect(pooledTrend([exerciseTrend([])]).verdict).toBe('insufficient')
})

test('only the last twelve exposures count', () => {
  const falling = points(
    [20, 21, 22, 23, 24, 25, 26, 27, 28, 29, 30, 31],
    [50, 49, 48, 47, 46, 45, 44, 43, 42, 41, 40, 39],
  )
  expect(exerciseTrend([...points([0, 1, 2, 3], [10, 20, 30, 40]), ...falling])).toEqual(
    exerciseTrend(falling),
  )
})

const history = fc.array(
  fc.record({
    week: fc.integer({ min: 0, max: 60 }).map(day => day / 7),
    value: fc.double({ min: 5, max: 200, noNaN: true }),
    repsToFailure: fc.integer({ min: 3, max: 20 }),
  }),
  { maxLength: 20 },
)
test('the unit of load and the order of entry do not change a verdict', () => {
  fc.assert(
    fc.property(history, fc.double({ min: 0.1, max: 10, noNaN: true }), (of, factor) => {
      const trend = exerciseTrend(of)
      const other = exerciseTrend(of.map(point => ({ ...point, value: point.value * factor })))
      expect(other.slope).toBeCloseTo(trend.slope, 9)
      expect(other.count).toBe(trend.count)
      expect(trend.probability).toBeGreaterThanOrEqual(0)
      expect(trend.probability).toBeLessThanOrEqual(1)
    }),
  )
})

test('the normal distribution: symmetric, and right where it is known', () => {
  fc.assert(
    fc.property(fc.double({ min: -6, max: 6, noNaN: true }), z =>
      expect(normalShare(z) + normalShare(-z)).toBeCloseTo(1, 6),
    ),
  )
  for (const [z, share] of [
    [0, 0.5],
    [1, 0.841345],
    [1.96, 0.975002],
    [-1.281552, 0.1],
  ] as const)
    expect(normalShare(z)).toBeCloseTo(share, 5)
})

const done = (
  loadKg: number | null,
  reps: number | null,
  rir: number | null,
  more: Partial<LoggedSet> = {},
): LoggedSet => ({
  slot: null,
  exercise: exerciseId('cable_curl'),
  intent: null,
  set: 1,
  stage: 1,
  side: null,
  role: 'working',
  loadKg,
  reps,
  seconds: null,
  rir,
  isRirOpen: false,
  ...more,
})
test.each([
  {
    name: 'the first set at the heaviest load counts',
    sets: [done(20, 12, 2), done(30, 8, 2), done(30, 12, 0)],
    value: (30 * 36) / 27,
    reps: 10,
  },
  {
    name: 'warm-ups and drops do not',
    sets: [done(60, 3, 0, { role: 'warmup' }), done(30, 8, 2), done(40, 8, 0, { stage: 2 })],
    value: (30 * 36) / 27,
    reps: 10,
  },
  {
    name: 'a set far from failure does not',
    sets: [done(50, 5, 5), done(20, 10, 0)],
    value: (20 * 4) / 3,
    reps: 10,
  },
  {
    name: 'no report is taken as two in reserve',
    sets: [done(30, 8, null)],
    value: (30 * 36) / 27,
    reps: 10,
  },
])('trend value: $name', ({ sets, value, reps }) => {
  expect(trendValue(sets)?.value).toBeCloseTo(value, 9)
  expect(trendValue(sets)?.repsToFailure).toBe(reps)
})
test.each([
  { name: 'a set with four or more in reserve', sets: [done(20, 10, 4, { isRirOpen: true })] },
  { name: 'more than 20 reps', sets: [done(10, 22, 1)] },
  { name: 'no load', sets: [done(null, 10, 1)] },
  { name: 'nothing done', sets: [] },
  { name: 'no reps', sets: [done(20, 0, 0)] },
])('no trend value from $name', ({ sets }) => expect(trendValue(sets)).toBeUndefined())
