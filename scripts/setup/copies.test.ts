import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { connectedDatabase } from '../../server/db/database'
import { dropDatabase, ensureDatabase } from '../../server/db/migrate'
import { unitStudio, useTestDatabase } from '../../server/testing/database'
import { copied, restored } from './copies.mjs'

useTestDatabase()

const folder = mkdtempSync(join(tmpdir(), 'tholepin-copies-'))
const spare = (name: string) => {
  const url = new URL(process.env.TEST_TEMPLATE_URL!)
  url.pathname = `/tholepin_unit_copy_${process.pid}_${name}`
  return url.href
}
const [whole, locked, filled] = [spare('whole'), spare('locked'), spare('filled')]
beforeAll(async () => {
  await unitStudio({ logsOf: ['Joren'] })
  for (const url of [whole, locked, filled]) await ensureDatabase(url)
})
afterAll(async () => {
  for (const url of [whole, locked, filled]) await dropDatabase(url)
  rmSync(folder, { recursive: true, force: true })
})

/** Every table of a database with every row of it, in one order. */
async function contents(url: string): Promise<ReadonlyMap<string, unknown>> {
  const { db, close } = connectedDatabase(url)
  const tables = (await db.execute(
    sql`select table_schema as schema, table_name as name from information_schema.tables where table_type = 'BASE TABLE' and table_schema in ('public', 'drizzle')`,
  )) as unknown as readonly { readonly schema: string; readonly name: string }[]
  const held = new Map<string, unknown>()
  for (const { schema, name } of tables)
    held.set(
      `${schema}.${name}`,
      await db.execute(
        sql`select to_jsonb(t) as row from ${sql.identifier(schema)}.${sql.identifier(name)} t order by to_jsonb(t)::text`,
      ),
    )
  const said = await db.execute(sql`select obj_description('public'::regnamespace) as said`)
  await close()
  return held.size === 0 ? held : held.set('stands at', said)
}

describe('a copy of the database', () => {
  test('restored elsewhere holds every table row for row, and what was written of its migration', async () => {
    const file = await copied(process.env.DATABASE_URL!, join(folder, 'open.backup'))
    await restored(whole, file)
    const [before, after] = [await contents(process.env.DATABASE_URL!), await contents(whole)]
    expect(before.size).toBeGreaterThan(20)
    expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
    for (const [table, rows] of before) expect([table, after.get(table)]).toEqual([table, rows])
    expect((before.get('public.logged_sets') as unknown[]).length).toBeGreaterThan(100)
    // What it was made of is not there half.
    await expect(copied(process.env.DATABASE_URL!, file)).rejects.toThrow('is there already')
  }, 120_000)

  test('with a passphrase is read by nobody without it', async () => {
    const file = await copied(process.env.DATABASE_URL!, join(folder, 'own'), 'eight bells')
    expect(file).toMatch(/own\.gpg$/)
    expect(readFileSync(file).includes('PGDMP')).toBe(false)
    await expect(restored(locked, file)).rejects.toThrow('BACKUP_PASSPHRASE')
    await expect(restored(locked, file, 'seven bells')).rejects.toThrow('does not open')
    expect((await contents(locked)).size).toBe(0)
    await restored(locked, file, 'eight bells')
    expect((await contents(locked)).size).toBeGreaterThan(20)
  }, 120_000)

  test('that is damaged, alone or for a database that is not empty changes nothing', async () => {
    const file = await copied(process.env.DATABASE_URL!, join(folder, 'bad.backup'))
    const { db, close } = connectedDatabase(filled)
    await db.execute(sql`create table mine (id int)`)
    await close()
    await expect(restored(filled, file)).rejects.toThrow('holds tables already')
    expect([...(await contents(filled)).keys()]).toEqual(['public.mine', 'stands at'])
    const bytes = readFileSync(file)
    bytes[bytes.length >> 1]! ^= 1
    writeFileSync(file, bytes)
    await expect(restored(locked, file)).rejects.toThrow('checksum differs')
    rmSync(`${file}.sha256`)
    await expect(restored(locked, file)).rejects.toThrow('is missing')
    await expect(restored(locked, join(folder, 'none'))).rejects.toThrow('There is no file')
    expect(existsSync(join(folder, '.bad.backup.half'))).toBe(false)
  }, 120_000)
})
