import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { per7Days, rollingWeek, spreadOf } from './spread'

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

describe('rotations of any length seen per week (domain N1 to N8, N17)', () => {
  const rows = [
    {
      name: 'N1 seven days',
      v: [0, 7, 0, 0, 4, 6, 0],
      week: 17,
      rolling: [17, 17],
      exposures: 3,
      frequency: 3,
      gaps: [3, 1, 3],
      evenness: 0.778,
    },
    {
      name: 'N2 eight days',
      v: [0, 7, 0, 0, 3, 9, 0, 0],
      week: 16.625,
      rolling: [10, 19],
      exposures: 3,
      frequency: 2.625,
      gaps: [3, 1, 4],
      evenness: 0.667,
    },
    {
      name: 'N3 five days',
      v: [5, 0, 0, 6, 0],
      week: 15.4,
      rolling: [11, 17],
      exposures: 2,
      frequency: 2.8,
      gaps: [3, 2],
      evenness: 0.833,
    },
    {
      name: 'N4 six days',
      v: [0, 6, 0, 0, 6, 0],
      week: 14,
      rolling: [12, 18],
      exposures: 2,
      frequency: 2.333,
      gaps: [3, 3],
      evenness: 1,
    },
    {
      name: 'N5 nine days',
      v: [0, 7, 0, 0, 0, 4, 0, 9, 0],
      week: 15.556,
      rolling: [11, 20],
      exposures: 3,
      frequency: 2.333,
      gaps: [4, 2, 3],
      evenness: 0.75,
    },
    {
      name: 'N6 three days',
      v: [4, 0, 0],
      week: 9.333,
      rolling: [8, 12],
      exposures: 1,
      frequency: 2.333,
      gaps: [3],
      evenness: 1,
    },
    {
      name: 'N7 fourteen days',
      v: [0, 7, 0, 0, 4, 6, 0, 0, 7, 0, 0, 4, 0, 0],
      week: 14,
      rolling: [11, 17],
      exposures: 5,
      frequency: 2.5,
      gaps: [3, 1, 3, 3, 4],
      evenness: 0.7,
    },
    {
      name: 'N8 ten days, one too small to count',
      v: [0, 1, 6, 0, 0, 0, 8, 0, 0, 0],
      week: 10.5,
      rolling: [7, 15],
      exposures: 2,
      frequency: 1.4,
      gaps: [4, 6],
      evenness: 0.833,
    },
  ]
  test.each(rows)('$name', ({ v, week, rolling, exposures, frequency, gaps, evenness }) => {
    const spread = spreadOf(v, 2)
    expect(per7Days(sum(v), v.length)).toBeCloseTo(week, 3)
    expect(Object.values(rollingWeek(v))).toEqual(rolling)
    expect(spread.exposures).toHaveLength(exposures)
    expect(spread.frequencyPer7Days).toBeCloseTo(frequency, 3)
    expect(spread.gaps).toEqual(gaps)
    expect(spread.evenness).toBeCloseTo(evenness, 3)
  })

  test('N17 no exposure at all', () => {
    expect(spreadOf([0, 1, 0, 1, 0, 0, 0], 2)).toEqual({
      exposures: [],
      frequencyPer7Days: 0,
      gaps: null,
      evenness: null,
    })
  })
})

const daily = fc.array(
  fc.integer({ min: 0, max: 40 }).map(quarters => quarters / 4),
  { minLength: 2, maxLength: 14 },
)

test('gaps add up to the rotation', () => {
  fc.assert(
    fc.property(daily, v => {
      const { gaps } = spreadOf(v, 2)
      expect(gaps ? sum(gaps) : v.length).toBe(v.length)
    }),
  )
})

test('the mean of all rolling weeks is the week', () => {
  fc.assert(
    fc.property(daily, v => {
      const { min, max } = rollingWeek(v)
      const week = per7Days(sum(v), v.length)
      expect(min).toBeLessThanOrEqual(week + 1e-9)
      expect(max).toBeGreaterThanOrEqual(week - 1e-9)
    }),
  )
})
