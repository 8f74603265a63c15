import { randomBytes } from 'node:crypto'
import { afterAll, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { connectedDatabase } from './database'
import { aloneAtIt, dropDatabase, ensureDatabase, migrated } from './migrate'

const url = new URL(
  `/tholepin_unit_start_${randomBytes(4).toString('hex')}`,
  process.env.TEST_TEMPLATE_URL,
).href
afterAll(() => dropDatabase(url))

test('of several first starts at once each finds the tables whole, and what is done alone is done once', async () => {
  let inside = 0
  let most = 0
  let filled = 0
  const start = async () => {
    await ensureDatabase(url)
    const { db, client, close } = connectedDatabase(url)
    await aloneAtIt(client, async () => {
      most = Math.max(most, ++inside)
      await migrated(db)
      const [{ count }] = (await db.execute(
        sql`select count(*)::int as count from attempt_limits`,
      )) as unknown as [{ count: number }]
      if (count === 0) {
        filled += 1
        await db.execute(sql`insert into attempt_limits (key) values ('first')`)
      }
      inside -= 1
    })
    await close()
  }
  await Promise.all(Array.from({ length: 4 }, start))
  expect([most, filled]).toEqual([1, 1])
}, 60_000)

test('what fails alone lets the next one in', async () => {
  const { client, close } = connectedDatabase(url)
  await expect(aloneAtIt(client, () => Promise.reject(new Error('not today')))).rejects.toThrow(
    'not today',
  )
  expect(await aloneAtIt(client, async () => 'in')).toBe('in')
  await close()
})
