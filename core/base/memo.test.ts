import { expect, test } from '@jest/globals'
import { remembered } from './memo'

test('the same two objects are computed once, others anew, and old seconds are forgotten in turn', () => {
  let computed = 0
  const sum = remembered((a: { n: number }, b: { n: number }) => ((computed += 1), a.n + b.n))
  const [one, two] = [{ n: 1 }, { n: 2 }]
  expect([sum(one, two), sum(one, two), sum(two, one)]).toEqual([3, 3, 3])
  expect(computed).toBe(2)
  for (let n = 0; n < 10; n++) expect(sum(one, { n })).toBe(n + 1)
  expect(sum(one, two)).toBe(3)
  expect(computed).toBe(13)
})
