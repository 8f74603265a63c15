import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../../base'
import { evidenceOf, type Observed, slopeOf, TREND, trendOf } from '.'

describe('evidence', () => {
  test.each([
    [1.0, 0.4, 10.758, 0.1381, 0.131],
    [1.0, 0.35, 24.541, 0.1091, 0.085],
    [0.5, 0.2, 9.116, 0.0702, 0.358],
    [0, 0.4, 0.447, 0.447, 0.736],
    [-0.6, 0.2, 0.06, 33.449, 0.198],
  ])('%s ± %s %% a week', (slope, error, up, down, flat) => {
    const found = evidenceOf(slope / 100, error / 100)
    expect(found.up).toBeCloseTo(up, 2)
    expect(found.down).toBeCloseTo(down, 3)
    expect(found.flat).toBeCloseTo(flat, 3)
  })
  test('a rise and a fall are mirror images', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.05, max: 0.05, noNaN: true }),
        fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
        (slope, error) => {
          const [one, other] = [evidenceOf(slope, error), evidenceOf(-slope, error)]
          expect(one.up / other.down).toBeCloseTo(1, 3)
          expect(one.flat).toBeCloseTo(other.flat, 6)
          // However clear a rise is, it is never evidence for a fall.
          if (slope > 0) expect(one.down).toBeLessThan(2)
        },
      ),
    )
  })
})

/** The plain solution: the whole covariance as a matrix, inverted by elimination. */
function plainSlope(all: readonly Observed[]): { slope: number; error: number } {
  const n = all.length
  const exercises = new Set(all.map(({ exercise }) => exercise)).size
  const first = all[0]!.day
  const weeks = all.map(({ day }) => (day - first) / 7)
  const hasOwn = exercises > 1
  const inverted = (m: number[][]): number[][] => {
    const size = m.length
    const a = m.map((row, i) => [...row, ...row.map((_, j) => Number(i === j))])
    for (let i = 0; i < size; i++) {
      const pivot = a[i]![i]!
      a[i] = a[i]!.map(value => value / pivot)
      for (let k = 0; k < size; k++) {
        if (k === i) continue
        const factor = a[k]![i]!
        a[k] = a[k]!.map((value, j) => value - factor * a[i]![j]!)
      }
    }
    return a.map(row => row.slice(size))
  }
  const means = Array.from({ length: exercises }, (_, e) => {
    const own = all.filter(({ exercise }) => exercise === e)
    return own.reduce((sum, { y }) => sum + y, 0) / own.length
  })
  let robust = all.map(() => 1)
  let result = { slope: 0, error: 0 }
  for (let pass = 0; pass < 3; pass++) {
    // Everything but the slope is part of the covariance; the slope is fitted under its wide prior.
    const covariance = all.map((a, i) =>
      all.map((b, j) => {
        const same = a.exercise === b.exercise ? 1 : 0
        return (
          same * 0.25 +
          0.09 ** 2 * a.tired * b.tired +
          (a.day === b.day ? 0.0262 ** 2 : 0) +
          (hasOwn ? same * 0.0008 ** 2 * weeks[i]! * weeks[j]! : 0) +
          (i === j ? (a.variance + 0.016 ** 2) / robust[i]! : 0)
        )
      }),
    )
    const w = inverted(covariance)
    const y = all.map(({ y: value, exercise, tired }) => value - means[exercise]! + 0.18 * tired)
    const wx = w.map(row => row.reduce((sum, value, j) => sum + value * weeks[j]!, 0))
    const precision = wx.reduce((sum, value, i) => sum + value * weeks[i]!, 0) + 1 / 0.5 ** 2
    const slope = wx.reduce((sum, value, i) => sum + value * y[i]!, 0) / precision
    const left = y.map((value, i) => value - slope * weeks[i]!)
    const weighed = w.map(row => row.reduce((sum, value, j) => sum + value * left[j]!, 0))
    const rss = weighed.reduce((sum, value, i) => sum + value * left[i]!, 0)
    const scale = Math.max(0.75, (24 + rss) / (24 + Math.max(0, n - exercises - 1)))
    result = { slope, error: Math.sqrt(scale / precision) }
    // What is left once the level, the loss and the own slope have been fitted; the day's shift stays in.
    const fitted = all.map((a, i) =>
      all.reduce((sum, b, j) => {
        const same = a.exercise === b.exercise ? 1 : 0
        const shared =
          same * 0.25 +
          0.09 ** 2 * a.tired * b.tired +
          (hasOwn ? same * 0.0008 ** 2 * weeks[i]! * weeks[j]! : 0)
        return sum + shared * weighed[j]!
      }, 0),
    )
    robust = all.map(({ variance }, i) => {
      const z2 = (left[i]! - fitted[i]!) ** 2 / (variance + 0.016 ** 2 + 0.0262 ** 2)
      return Math.min(1, 6 / (5 + z2))
    })
  }
  return result
}

const observations = fc
  .record({
    exercises: fc.integer({ min: 1, max: 3 }),
    days: fc.uniqueArray(fc.integer({ min: 0, max: 80 }), { minLength: 3, maxLength: 9 }),
    noise: fc.array(fc.double({ min: -0.15, max: 0.15, noNaN: true }), {
      minLength: 27,
      maxLength: 27,
    }),
    tired: fc.array(fc.double({ min: 0, max: 0.5, noNaN: true }), { minLength: 27, maxLength: 27 }),
  })
  .map(({ exercises, days, noise, tired }): readonly Observed[] =>
    [...days]
      .sort((a, b) => a - b)
      .flatMap((day, d) =>
        Array.from({ length: exercises }, (_, exercise) => ({
          exercise,
          day,
          y: 3.5 + exercise + noise[d * 3 + exercise]!,
          variance: 0.001 + 0.0005 * exercise,
          tired: tired[d * 3 + exercise]!,
        })),
      ),
  )

describe('the slope', () => {
  test('agrees with the plain solution by full matrices', () => {
    fc.assert(
      fc.property(observations, all => {
        const [fast, plain] = [slopeOf(all), plainSlope(all)]
        expect(fast.slope).toBeCloseTo(plain.slope, 4)
        expect(fast.error / plain.error).toBeCloseTo(1, 3)
      }),
      { numRuns: 200 },
    )
  })
  test('a level of an exercise is of no matter, nor is the first day', () => {
    fc.assert(
      fc.property(observations, all => {
        const moved = all.map(one => ({
          ...one,
          y: one.y + one.exercise * 0.7,
          day: one.day + 900,
        }))
        expect(slopeOf(moved).slope).toBeCloseTo(slopeOf(all).slope, 6)
      }),
    )
  })
})

/** A steady course, twice a week, without any scatter of its own. */
const steady = (aWeek: number, sessions: number, exercises = 1): readonly Observed[] =>
  Array.from({ length: sessions }, (_, at) =>
    Array.from({ length: exercises }, (__, exercise) => ({
      exercise,
      day: at * 3.5,
      y: 3.5 + (aWeek * at) / 2,
      variance: 0.0012,
      tired: 0,
    })),
  ).flat()

describe('verdicts', () => {
  test.each([
    ['five days', steady(0.02, 5), 'insufficient'],
    [
      'six days in two weeks',
      steady(0.02, 6).map(one => ({ ...one, day: one.day * 0.6 })),
      'insufficient',
    ],
    ['rising 2 % a week', steady(0.02, 24), 'progress'],
    ['falling 2 % a week', steady(-0.02, 24), 'decline'],
    ['flat', steady(0, 26, 3), 'plateau'],
    ['too early to say', steady(0.005, 8), 'unclear'],
  ])('%s', (_, all, verdict) => expect(trendOf(all).verdict).toBe(verdict))

  test('a verdict stays, with its day, until the evidence speaks for something else', () => {
    const up = steady(0.02, 24)
    const top = up.at(-1)!
    const then = steady(-0.03, 24).map(one => ({
      ...one,
      day: one.day + top.day + 3.5,
      y: one.y - 3.5 + top.y,
    }))
    const rising = trendOf(up)
    expect(rising.since).toBeLessThan(top.day)
    const soon = trendOf([...up, ...then.slice(0, 3)])
    expect([soon.verdict, soon.since]).toEqual(['progress', rising.since])
    const later = trendOf([...up, ...then])
    expect(later.verdict).toBe('decline')
    expect(later.since).toBeGreaterThan(top.day)
  })
  test('one value ten times too high changes no verdict', () => {
    const all = steady(0, 26, 2)
    const slip = all.map((one, at) => (at === 20 ? { ...one, y: one.y + Math.log(10) } : one))
    expect(['plateau', 'unclear']).toContain(trendOf(slip).verdict)
  })
  test('nothing, one day, a gap of seven weeks and two sessions on a day never fail', () => {
    expect(trendOf([])).toMatchObject({ verdict: 'insufficient', count: 0 })
    expect(trendOf(steady(0, 1))).toMatchObject({ verdict: 'insufficient', count: 1 })
    const gap = steady(0.01, 12).map((one, at) => (at < 6 ? one : { ...one, day: one.day + 49 }))
    expect(Number.isFinite(trendOf(gap).error)).toBe(true)
    const twice = steady(0.01, 12).flatMap(one => [one, one])
    expect(trendOf(twice).count).toBe(12)
    expect(TREND.speaks).toBe(20)
  })
})

/** The plain way of looking: what counts is picked anew for every look. */
function plainlyLooked(all: readonly Observed[]) {
  const said = { verdict: 'unclear', since: null as number | null, from: -Infinity }
  for (const today of new Set(all.map(({ day }) => day))) {
    const own = all.filter(({ day }) => day > said.from && day <= today)
    const days = new Set(own.map(({ day }) => day))
    const span = Math.max(...days) - Math.min(...days)
    if (days.size < TREND.leastDays || span < 7 * TREND.leastWeeks) continue
    const { slope, error } = slopeOf(own)
    const { up, down, flat } = evidenceOf(slope, error)
    const verdict =
      up >= TREND.speaks
        ? 'progress'
        : down >= TREND.speaks
          ? 'decline'
          : flat >= TREND.surelyFlat
            ? 'plateau'
            : null
    if (verdict === null) continue
    if (verdict !== said.verdict) Object.assign(said, { verdict, since: today })
    if (verdict !== 'plateau') said.from = today
  }
  const later = all.filter(({ day }) => day > said.from)
  const fresh = slopeOf(later)
  const evidence = later.length > 0 ? evidenceOf(fresh.slope, fresh.error) : { up: 1, down: 1 }
  return { verdict: said.verdict, since: said.since, up: evidence.up, down: evidence.down }
}

test('looks at columns say what looks at lists say, whatever was said before', () => {
  const told = new Set<string>()
  for (let seed = 1; seed <= 60; seed++) {
    const random = seededRandom(seed)
    const slope = 0.04 * (random() - 0.5)
    const all = Array.from({ length: 36 }, (_, at) => {
      const shift = 0.03 * (random() - 0.5)
      return Array.from({ length: 1 + (seed % 3) }, (__, exercise) => ({
        exercise,
        day: 3 * at,
        // Half-way it turns.
        y: 3 + exercise + slope * (at < 18 ? at : 36 - at) + shift + 0.04 * (random() - 0.5),
        variance: 0.001,
        tired: 0.3 * random(),
      })).filter(() => random() < 0.9)
    }).flat()
    const { verdict, since, up, down } = trendOf(all)
    expect({ verdict, since, up, down }).toEqual(plainlyLooked(all))
    told.add(verdict)
  }
  expect(told.size).toBeGreaterThan(2)
})
