import { expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import { isLongerThan, leastWidth, scrollTo, seasonScale } from './seasonLayout'

const block = (from: string, to: string) => ({ from: plainDate(from), to: plainDate(to) })

test.each([
  ['no block', [], 600],
  ['one short block', [block('2026-01-05', '2026-02-01')], 600],
  [
    'a year in any order',
    [block('2026-01-05', '2027-01-03'), block('2026-03-02', '2026-04-05')],
    728,
  ],
])('%s has room for its words', (_, blocks, wanted) => expect(leastWidth(blocks)).toBe(wanted))

test('a day lies where its share of the whole is, half a year at least', () => {
  const scale = seasonScale([block('2026-01-05', '2026-01-11')] as never, 728)
  expect(scale.to).toBe('2026-07-05')
  expect(scale.x(plainDate('2026-04-06'))).toBeCloseTo(364, 9)
})

test.each([
  [400, 100, 900, 0],
  [-100, 100, 900, -270],
  [850, 100, 900, 680],
])('a plank at %d, %d wide, in %d: scrolled by %d', (left, width, seen, by) =>
  expect(scrollTo(left, width, seen)).toBe(by),
)

test('a year fits a desk, two years do not, and no year a phone', () => {
  const year = [block('2026-01-05', '2027-01-03')]
  expect([1280, 390].map(width => isLongerThan(year, width))).toEqual([false, true])
  expect(isLongerThan([...year, block('2027-01-04', '2028-01-02')], 1280)).toBe(true)
})
