import { setTimeout as pause } from 'node:timers/promises'
import { afterAll, beforeEach, expect, test } from '@jest/globals'
import { closeDatabase, connectedDatabase } from '../db/database'
import { useTestDatabase } from '../testing/database'
import { endFloorNews, hearFloors, onFloorNews, openFloors, tellFloor } from './floorNews'

useTestDatabase()

let woken: string[] = []
beforeEach(() => {
  woken = []
})
afterAll(() => endFloorNews())
const floorOf = (coach: string) => onFloorNews(coach, () => woken.push(coach))
/** Waits until a floor was woken, two seconds at most. */
async function heard(): Promise<readonly string[]> {
  for (let at = 0; at < 40 && woken.length === 0; at++) await pause(50)
  return woken
}

test('news of a studio wakes its floors, what happens at once is told once, and nobody else hears it', async () => {
  const ends = [floorOf('ragna'), floorOf('other')]
  expect(openFloors()).toBe(2)
  // Hearing begins with a look, since something may have been missed.
  await heard()
  await pause(100)
  woken = []
  for (let at = 0; at < 20; at++) tellFloor('ragna')
  expect(await heard()).toEqual(['ragna'])
  await pause(400)
  expect(woken).toEqual(['ragna'])
  ends.forEach(end => end())
  expect(openFloors()).toBe(0)
})

test('what another server tells is heard, and a floor that was closed hears nothing', async () => {
  const [end, closed] = [floorOf('ragna'), floorOf('ragna')]
  closed()
  await pause(100)
  woken = []
  const { client, close } = connectedDatabase(process.env.DATABASE_URL ?? '')
  await client`select pg_notify('tholepin_floor', 'ragna')`
  expect(await heard()).toEqual(['ragna'])
  await close()
  end()
})

test('after the connections were made anew it hears again, and looks at once', async () => {
  const end = floorOf('ragna')
  await heard()
  await closeDatabase()
  woken = []
  hearFloors()
  expect(await heard()).toEqual(['ragna'])
  await pause(100)
  woken = []
  tellFloor('ragna')
  expect(await heard()).toEqual(['ragna'])
  end()
})
