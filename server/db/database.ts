import { AsyncLocalStorage } from 'node:async_hooks'
import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema'

export type Database = PostgresJsDatabase<typeof schema>

interface Connected {
  readonly db: Database
  readonly client: postgres.Sql
  readonly close: () => Promise<void>
}

/** A connection of its own, for scripts and tests; `close` ends it. */
export function connectedDatabase(url: string): Connected {
  const client = postgres(url, { max: 10, onnotice: () => {} })
  return { db: drizzle(client, { schema }), client, close: () => client.end({ timeout: 5 }) }
}

let shared: Connected | undefined
const inTransaction = new AsyncLocalStorage<Database>()

/**
 * The server's connection pool, opened on first use; within `asOneTransaction` that transaction.
 *
 * Errors: throws when DATABASE_URL is not set.
 */
export function database(): Database {
  return inTransaction.getStore() ?? connection().db
}

/** Runs work whose every use of `database` is one transaction: all of it holds, or none where it throws. */
export function asOneTransaction<Value>(work: (tx: Database) => Promise<Value>): Promise<Value> {
  return database().transaction(tx => inTransaction.run(tx, () => work(tx)))
}

/** The plain client behind `database`, for packages that bring their own SQL. */
export function databaseClient(): postgres.Sql {
  return connection().client
}

/** Ends the pool, if it was opened; the next use opens another. */
export async function closeDatabase(): Promise<void> {
  const open = shared
  shared = undefined
  await open?.close()
}

function connection(): Connected {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set; `npm start` sets it up')
  shared ??= connectedDatabase(url)
  return shared
}
