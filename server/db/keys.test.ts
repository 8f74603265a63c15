import { expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { database } from './database'
import { useTestDatabase } from '../testing/database'

useTestDatabase()

/** Tables of nobody's: attempts are counted before it is known whose they are. */
const OF_NOBODY = ['attempt_limits']

test('every key and every reference begins with the coach, so that coaches can be spread over machines', async () => {
  const rows = (await database().execute(sql`
    select k.conrelid::regclass::text as table, k.contype::text as kind, k.conname as name,
      (select attname from pg_attribute where attrelid = k.conrelid and attnum = k.conkey[1]) as first,
      k.confrelid::regclass::text as target
    from pg_constraint k join pg_namespace n on n.oid = k.connamespace
    where n.nspname = 'public' and k.contype in ('p', 'f')`)) as unknown as readonly {
    readonly table: string
    readonly kind: string
    readonly name: string
    readonly first: string
  }[]
  expect(rows.length).toBeGreaterThan(40)
  const others = rows.filter(
    ({ table, first }) =>
      !OF_NOBODY.includes(table) && first !== (table === 'coaches' ? 'id' : 'coach_id'),
  )
  expect(others.map(({ table, name, first }) => `${table}.${name} begins with ${first}`)).toEqual(
    [],
  )
})
