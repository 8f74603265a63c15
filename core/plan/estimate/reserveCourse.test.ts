import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { reserveCourse } from '.'

test('three sets of ten at 30 kg with two left come to about two, one and a half, and one', () => {
  const course = reserveCourse(30, 10, 2, 3)!
  expect(course.left).toEqual([2, 1.5, 1])
  expect(course.keeping).toBeCloseTo(30 * (1 - 0.024), 6)
})

test.each([
  ['one set', 30, 10, 2, 1],
  ['no load', 0, 10, 2, 3],
  ['more reps than an estimate takes', 30, 20, 2, 3],
])('%s has no course', (_, load, reps, rir, sets) =>
  expect(reserveCourse(load, reps, rir, sets)).toBeUndefined(),
)

test('the reserve begins as planned, never rises and never falls below nought', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 200 }),
      fc.integer({ min: 1, max: 15 }),
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 2, max: 8 }),
      (load, reps, rir, sets) => {
        const { left, keeping } = reserveCourse(load, reps, rir, sets)!
        expect(left[0]).toBe(rir)
        left.forEach((one, at) => expect(one).toBeLessThanOrEqual(left[at - 1] ?? Infinity))
        expect(Math.min(...left)).toBeGreaterThanOrEqual(0)
        expect(keeping).toBeLessThan(load)
      },
    ),
  )
})
