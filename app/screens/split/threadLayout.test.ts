import { expect, test } from '@jest/globals'
import type { Arrival } from '#core/body/recovery'
import { threadsOfDay } from './threadLayout'

const arrival = (more: Partial<Arrival>): Arrival => ({
  group: 'biceps',
  day: 3,
  session: 0,
  fromDay: 1,
  hoursSince: 48,
  readiness: 90,
  required: 90,
  role: 'lead',
  state: 'ready',
  thread: 'whole',
  hoursToReady: 0,
  fatigue: 1,
  ...more,
})

test('a thread hangs from the day it leaves, as long as the time it lasts', () => {
  const [only, ...others] = threadsOfDay([arrival({})], 1, 8, 100)
  expect(others).toEqual([])
  expect(only).toMatchObject({ labelX: 150, path: 'M50 0Q150 18 250 0' })
  expect(threadsOfDay([arrival({})], 3, 8, 100)).toEqual([])
})

test('over the turn it runs off on the right and comes back in on the left, labelled once', () => {
  const over = arrival({ fromDay: 6, day: 1, hoursSince: 72 })
  const [leaving] = threadsOfDay([over], 6, 8, 100)
  const [arriving] = threadsOfDay([over], 1, 8, 100)
  expect(leaving).toMatchObject({ labelX: 125 })
  expect(leaving?.path).toMatch(/^M50 0Q125 .* 200 /)
  expect(arriving).toMatchObject({ labelX: null })
  expect(arriving?.path).toMatch(/ 50 0$/)
})

test.each([
  ['taut', 3],
  ['frayed', 6],
] as const)('a %s one carries its marks', (thread, strokes) => {
  expect(threadsOfDay([arrival({ thread })], 1, 8, 100)[0]?.marks.match(/M/g)).toHaveLength(strokes)
})

test('a frayed one is parted in the middle', () =>
  expect(threadsOfDay([arrival({ thread: 'frayed' })], 1, 8, 100)[0]?.path).toContain('H137M163 6'))
test('a group worked once comes to itself, a whole rotation later', () => {
  const once = arrival({ fromDay: 2, day: 2, hoursSince: 192 })
  expect(threadsOfDay([once], 2, 8, 100)).toHaveLength(2)
})
