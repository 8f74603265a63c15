import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { bandShare } from './bandScale'

const band = { floor: 12, target: 18, ceiling: 24 }

test.each([
  [0, 0],
  [12, 0.24],
  [15, 0.37],
  [18, 0.5],
  [24, 0.76],
  [33.6, 1],
  [99, 1],
])('%d sets stand at %d', (sets, share) => {
  expect(bandShare(sets, band)).toBeCloseTo(share, 9)
})

test('a floor of zero and equal marks do not break the scale', () => {
  expect(bandShare(0, { floor: 0, target: 2, ceiling: 2 })).toBeGreaterThanOrEqual(0)
  expect(bandShare(2, { floor: 2, target: 2, ceiling: 2 })).toBeLessThanOrEqual(0.76)
})

test('more sets never stand further left', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 50, noNaN: true }),
      (a, b) => {
        const [less, more] = a < b ? [a, b] : [b, a]
        expect(bandShare(less, band)).toBeLessThanOrEqual(bandShare(more, band))
      },
    ),
  )
})
