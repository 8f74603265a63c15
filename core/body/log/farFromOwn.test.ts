import { expect, test } from '@jest/globals'
import { farFromOwn } from './farFromOwn'

test.each([
  ['a slip of the point', 'load', 225, [22.5, 22.5, 20], 22.5],
  ['a digit lost', 'load', 2, [22.5, 22.5, 20], 22.5],
  ['a good day', 'load', 27.5, [22.5, 22.5, 20], null],
  ['twice as much is still possible', 'load', 45, [22.5, 22.5], null],
  ['a few kilograms more of little', 'load', 6, [2, 2], null],
  ['one set says nothing yet', 'load', 225, [22.5], null],
  ['a rep count with a digit too many', 'count', 112, [12, 11], 11.5],
  ['a hard set is no slip', 'count', 1, [12, 11], null],
  ['many reps of few', 'count', 16, [6, 6], 6],
] as const)('%s', (_, kind, value, known, usual) => {
  expect(farFromOwn(kind, value, known)).toBe(usual)
})
