import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { effectiveSets } from './sessionCurve'

describe('effective sets of one day (domain table D and D1 to D6)', () => {
  const xs = [1, 3, 4, 5, 6, 8, 9, 10, 11, 12, 15, 20]
  test.each([
    ['trained', [1, 3, 4, 4.75, 5.5, 7, 7.4, 7.8, 8.2, 8.3, 8.6, 8.6]],
    ['new', [1, 3, 3.75, 4.5, 5.25, 6.05, 6.15, 6.25, 6.35, 6.35, 6.35, 6.35]],
  ] as const)('%s', (age, expected) =>
    xs.forEach((x, at) => expect(effectiveSets(x, age)).toBeCloseTo(expected[at] ?? NaN, 9)),
  )

  const total = (days: readonly number[], age: 'new' | 'trained' = 'trained') =>
    days.reduce((sum, sets) => sum + effectiveSets(sets, age), 0)
  test.each([
    { name: 'D1', actual: [total([12]), total([6, 6]), total([4, 4, 4])], expected: [8.3, 11, 12] },
    {
      name: 'D2',
      actual: [total([9, 9]), total([6, 6, 6]), total([12, 6])],
      expected: [14.8, 16.5, 13.8],
    },
    { name: 'D3', actual: [(total([9, 9]) * 7) / 8], expected: [12.95] },
    { name: 'D4', actual: [total([10], 'new'), total([5, 5], 'new')], expected: [6.25, 9] },
    {
      name: 'D5',
      actual: [6.5, 10, 3].map(
        sets => effectiveSets(sets + 1, 'trained') - effectiveSets(sets, 'trained'),
      ),
      expected: [0.75, 0.4, 1],
    },
    { name: 'D6', actual: [total([9, 2]) - total([11])], expected: [1.2] },
  ])('$name', ({ actual, expected }) =>
    actual.forEach((value, at) => expect(value).toBeCloseTo(expected[at] ?? NaN, 9)),
  )
})

test('never more than the sets themselves, never less on two days than on one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 80 }),
      fc.integer({ min: 0, max: 80 }),
      fc.constantFrom('new' as const, 'trained' as const),
      (a, b, age) => {
        const [x, y] = [a / 4, b / 4]
        expect(effectiveSets(x, age)).toBeLessThanOrEqual(x + 1e-9)
        expect(effectiveSets(x, age) + effectiveSets(y, age)).toBeGreaterThanOrEqual(
          effectiveSets(x + y, age) - 1e-9,
        )
        expect(effectiveSets(x + 1, age)).toBeGreaterThanOrEqual(effectiveSets(x, age))
      },
    ),
  )
})
