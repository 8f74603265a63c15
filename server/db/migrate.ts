import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import type { Database } from './database'
import { migrationsFolder } from './migrationsFolder'
import { notNewer, stamped } from './stamp'

/**
 * Brings the tables to the newest shape; safe to run twice.
 *
 * Errors: `NewerDatabase` where a newer version has prepared it; nothing is changed then.
 */
export async function migrated(db: Database): Promise<void> {
  await notNewer(db)
  await migrate(db, { migrationsFolder: migrationsFolder() })
  await stamped(db)
}

/** Any number, the same for everybody who prepares one of these databases. */
const PREPARING = 4_217_001

/** Runs what prepares a database while nobody else does: of two first starts at once one waits, and finds everything there. */
export async function aloneAtIt<Value>(
  client: postgres.Sql,
  work: () => Promise<Value>,
): Promise<Value> {
  const held = await client.reserve()
  try {
    await held`select pg_advisory_lock(${PREPARING})`
    return await work()
  } finally {
    await held`select pg_advisory_unlock(${PREPARING})`
    held.release()
  }
}

/** PostgreSQL's words for a database that another start has made meanwhile. */
const MADE_MEANWHILE = new Set(['42P04', '23505'])

/** Makes the database that a URL names unless the server has it. */
export async function ensureDatabase(url: string): Promise<void> {
  const target = new URL(url)
  const name = decodeURIComponent(target.pathname.slice(1))
  await onServer(url, async sql => {
    const [found] = await sql`select 1 from pg_database where datname = ${name}`
    if (found) return
    await sql`create database ${sql(name)}`.catch((error: { readonly code?: string }) => {
      if (!MADE_MEANWHILE.has(error.code ?? '')) throw error
    })
  })
}

/** Removes the database that a URL names, with everything in it. */
export async function dropDatabase(url: string): Promise<void> {
  const name = decodeURIComponent(new URL(url).pathname.slice(1))
  await onServer(
    url,
    async sql => void (await sql`drop database if exists ${sql(name)} with (force)`),
  )
}

async function onServer(url: string, work: (sql: postgres.Sql) => Promise<void>): Promise<void> {
  const maintenance = new URL(url)
  maintenance.pathname = '/postgres'
  const sql = postgres(maintenance.href, { max: 1, onnotice: () => {} })
  try {
    await work(sql)
  } finally {
    await sql.end()
  }
}
