import { expect, test } from '@jest/globals'
import { setTimeout as sleep } from 'node:timers/promises'
import { unitStudio, useTestDatabase } from '../testing/database'
import { roster } from './roster'
import { forgetRoster } from './rosterMemory'

useTestDatabase()

test('of many logs some are read at once and the others meanwhile, and then every page says the same', async () => {
  const { coach, today, clients } = await unitStudio({ logsOf: ['Marit', 'Jonna', 'Ines', 'Odd'] })
  expect(clients.length).toBeGreaterThan(10)
  const whole = await roster(coach, today)
  expect(whole.unread).toBe(0)

  forgetRoster()
  const first = await roster(coach, today, 0)
  expect(first.unread).toBe(clients.length - 5)
  expect(first.clients.map(({ id }) => id).sort()).toEqual(whole.clients.map(({ id }) => id).sort())
  // Strips and what is due today do not wait for logs.
  expect(new Map(first.clients.map(({ id, block, next }) => [id, { block, next }]))).toEqual(
    new Map(whole.clients.map(({ id, block, next }) => [id, { block, next }])),
  )

  let later = first
  for (let tries = 0; later.unread > 0 && tries < 100; tries++) {
    await sleep(50)
    later = await roster(coach, today, 0)
  }
  expect(later).toEqual(whole)
})
