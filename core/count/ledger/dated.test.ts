import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate } from '../../base'
import { calendarWeeks, type DatedBlock, rollingWindows } from './dated'

const N2 = [0, 7, 0, 0, 3, 9, 0, 0]
const N3 = [5, 0, 0, 6, 0]
const N5 = [0, 7, 0, 0, 0, 4, 0, 9, 0]
const block = (
  dailySets: readonly number[],
  startsOn: string,
  lengthDays: number,
  resets: readonly number[] = [],
): DatedBlock => ({ dailySets, startsOn: plainDate(startsOn), lengthDays, resets })
const sums = (of: DatedBlock, weekStart?: number) =>
  calendarWeeks(of, weekStart).map(({ sets, days }) => (days < 7 ? `${sets} in ${days} d` : sets))

describe('rotations drift through calendar weeks (domain N9 to N15, N18)', () => {
  test.each([
    {
      name: 'N9 eight days over eight weeks',
      actual: sums(block(N2, '2025-01-06', 56)),
      expected: [19, 19, 10, 16, 19, 19, 12, 19],
    },
    {
      name: 'N10 begun on a Wednesday',
      actual: sums(block(N2, '2025-01-01', 28)),
      expected: ['10 in 5 d', 16, 19, 19, '0 in 2 d'],
    },
    {
      name: 'N11 five days',
      actual: sums(block(N3, '2025-01-06', 35)),
      expected: [16, 17, 16, 11, 17],
    },
    {
      name: 'N12 weeks from Monday',
      actual: sums(block(N3, '2025-01-08', 15)),
      expected: ['11 in 5 d', 16, '6 in 3 d'],
    },
    {
      name: 'N12 weeks from Sunday',
      actual: sums(block(N3, '2025-01-08', 15), 7),
      expected: ['11 in 4 d', 16, '6 in 4 d'],
    },
    {
      name: 'N13 nine days',
      actual: sums(block(N5, '2025-01-06', 63)),
      expected: [11, 16, 20, 13, 20, 11, 16, 20, 13],
    },
    {
      name: 'N18 begun again on the tenth day',
      actual: sums(block(N2, '2025-01-06', 21, [10])),
      expected: [19, 14, 19],
    },
    {
      name: 'over the change of the clocks',
      actual: sums(block([1], '2025-03-24', 14)),
      expected: [7, 7],
    },
  ])('$name', ({ actual, expected }) => expect(actual).toEqual(expected))

  test.each([
    { name: 'N14', of: block(N2, '2025-01-06', 28), windows: 22, least: 10, most: 19 },
    { name: 'N15', of: block(N2, '2025-01-06', 12), windows: 6, least: 12, most: 19 },
  ])('$name rolling windows', ({ of, windows, least, most }) => {
    const all = rollingWindows(of)
    expect([all.length, Math.min(...all), Math.max(...all)]).toEqual([windows, least, most])
  })
  test('a block shorter than a week has no window', () =>
    expect(rollingWindows(block(N3, '2025-01-06', 5))).toEqual([]))
})

test('calendar weeks add up to the block, whatever day they begin on', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 2, maxLength: 14 }),
      fc.integer({ min: 1, max: 90 }),
      fc.integer({ min: 1, max: 7 }),
      (daily, length, weekStart) => {
        const of = block(daily, '2025-02-13', length)
        const expected = Array.from({ length }, (_, day) => daily[day % daily.length] ?? 0).reduce(
          (sum, sets) => sum + sets,
          0,
        )
        expect(calendarWeeks(of, weekStart).reduce((sum, { sets }) => sum + sets, 0)).toBe(expected)
      },
    ),
  )
})
