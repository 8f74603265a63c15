import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { blockBefore, sinceLast } from '.'

const before = planIn(
  7,
  written('arms', 'cable_curl 3 x 12', 'pushdown_rope 3 x 12', 'hammer_curl 2 x 10'),
)
const after = planIn(
  7,
  written('arms', 'cable_curl 5 x 12', 'pushdown_rope 2 x 12, then 1 x 15', 'reverse_curl 2 x 15'),
)

test('what is new comes first, then what is gone, then what has other sets', () =>
  expect(sinceLast(after, blockBefore(before))).toEqual([
    { exercise: 'reverse_curl', before: 0, after: 2 },
    { exercise: 'hammer_curl', before: 2, after: 0 },
    { exercise: 'cable_curl', before: 3, after: 5 },
  ]))

test('sets are told in 7 days, so that rotations of other lengths can be compared', () => {
  const eight = planIn(
    14,
    written('arms', 'cable_curl 6 x 12', 'pushdown_rope 6 x 12', 'hammer_curl 4 x 10'),
  )
  expect(sinceLast(eight, blockBefore(before))).toEqual([])
})

test('nothing is told of a plan against itself, and the other way round it is mirrored', () =>
  fc.assert(
    fc.property(planArbitrary, planArbitrary, (one, other) => {
      expect(sinceLast(one, blockBefore(one))).toEqual([])
      const there = new Map(sinceLast(one, blockBefore(other)).map(row => [row.exercise, row]))
      for (const { exercise, before: was, after: is } of sinceLast(other, blockBefore(one)))
        expect(there.get(exercise)).toEqual({ exercise, before: is, after: was })
    }),
    { numRuns: 60 },
  ))
