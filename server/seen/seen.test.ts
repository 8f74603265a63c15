import { expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { connectedDatabase, database } from '../db/database'
import { migrated } from '../db/migrate'
import { NewerDatabase } from '../db/stamp'
import { isReady, isWell } from '../services/health'
import { problemOf, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { savePlan } from '../services/savePlan'
import { hashedCoach, redacted } from './logger'
import { metricsText } from './metrics'

useTestDatabase()

test('a server is ready for a database that stands where it does, or later, and for no earlier one', async () => {
  const at = async (comment: string) => {
    await database().execute(sql.raw(`comment on schema public is ${comment}`))
    return isReady()
  }
  expect([await isWell(), await isReady()]).toEqual([true, true])
  expect(await at("'tholepin at 9999'")).toBe(true)
  // A start with an older version stops before it changes anything.
  const { db, close } = connectedDatabase(process.env.DATABASE_URL!)
  await expect(migrated(db)).rejects.toThrow(NewerDatabase)
  await expect(migrated(db)).rejects.toThrow('prepared by a newer version')
  expect([await at("'tholepin at 3'"), await at('null'), await isWell()]).toEqual([
    false,
    false,
    true,
  ])
  await migrated(db)
  await close()
  expect(await isReady()).toBe(true)
})

test('what is saved is counted, and nothing that is counted names anybody', async () => {
  const { coach, client } = await unitStudio()
  const own = client('Joren')
  const saves = async () => Number(/tholepin_plan_saves_total (\d+)/.exec(await metricsText())?.[1])
  const before = await saves()
  const save = { blockId: own.blockId, version: 1, plan: { ...own.plan, title: 'Counted' } }
  valueOf(await savePlan(coach, save))
  expect(problemOf(await savePlan(coach, save)).kind).toBe('stale-version')
  expect(await saves()).toBe(before + 1)
  const text = await metricsText()
  expect(text).toMatch(/tholepin_hashes_waiting 0/)
  expect(text).toMatch(/tholepin_request_seconds/)
  expect(text).not.toContain('Joren')
  expect(text).not.toContain(coach.id)
})

test('a coach is a short hash, the same each time, and a failed query tells no parameters', () => {
  expect(hashedCoach('one')).toMatch(/^[0-9a-f]{12}$/)
  expect(hashedCoach('one')).toBe(hashedCoach('one'))
  expect(hashedCoach('one')).not.toBe(hashedCoach('two'))
  const failed = new Error('Failed query: insert into notes values ($1) params: wrist hurts')
  failed.cause = new Error('duplicate key')
  expect(redacted(failed)).toBe('duplicate key')
  expect(redacted('text')).toBe('unknown failure')
})
