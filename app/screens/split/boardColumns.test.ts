import { expect, test } from '@jest/globals'
import { boardColumns } from './boardColumns'

test.each([
  [1240, 8, 109],
  [1240, 5, 160],
  [1240, 14, 64],
  [900, 14, 64],
])('%d px for %d days give %d px a day', (room, days, day) => {
  expect(boardColumns(room, days).day).toBe(day)
})

test('the board is as wide as its parts', () => {
  expect(boardColumns(1240, 8).total).toBeLessThanOrEqual(1240)
})
