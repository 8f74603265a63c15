import { fileURLToPath } from 'node:url'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import type { Database } from './database'

const MIGRATIONS = fileURLToPath(new URL('./migrations', import.meta.url))

/** Brings the tables to the newest shape; safe to run twice. */
export function migrated(db: Database): Promise<void> {
  return migrate(db, { migrationsFolder: MIGRATIONS })
}

/** Makes the database that a URL names unless the server has it. */
export async function ensureDatabase(url: string): Promise<void> {
  const target = new URL(url)
  const name = decodeURIComponent(target.pathname.slice(1))
  await onServer(url, async sql => {
    const [found] = await sql`select 1 from pg_database where datname = ${name}`
    if (!found) await sql`create database ${sql(name)}`
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
