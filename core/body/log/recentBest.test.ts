import { expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { recentBest } from '.'

const on = (day: number, value: number, exercise = 'cable_curl') => ({
  exercise,
  on: plainDate(`2026-04-${String(day).padStart(2, '0')}`),
  value,
})

test.each([
  ['the middle of the last three', [on(1, 90), on(9, 40), on(5, 42), on(7, 50)], 42],
  ['of two the lower', [on(1, 40), on(3, 42)], 40],
  ['a single one', [on(1, 40)], 40],
])('%s', (_, estimates, value) =>
  expect(recentBest(estimates)).toEqual([{ exercise: 'cable_curl', value }]),
)
test('each exercise by itself, none without an estimate', () => {
  expect(
    recentBest([on(1, 40), on(1, 60, 'pushdown_rope')]).map(({ exercise }) => exercise),
  ).toEqual(['cable_curl', 'pushdown_rope'])
  expect(recentBest([])).toEqual([])
})
