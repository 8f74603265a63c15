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

type Options = Parameters<typeof postgres>[1] & object

/** Every question here is short: compiling it for the processor first took longer than answering it. */
const ANY_CONNECTION = { application_name: 'tholepin', jit: 'off' }

/** Nothing waits for ever: a request gets its answer or is told within seconds that the database cannot be had. */
const FOR_REQUESTS: Options = {
  connect_timeout: 3,
  idle_timeout: 60,
  max_lifetime: 30 * 60,
  // A database that is back is asked again within a second.
  backoff: attempts => Math.min(1, 0.1 * 2 ** attempts),
  connection: {
    statement_timeout: 30_000,
    idle_in_transaction_session_timeout: 30_000,
  },
}

/** A connection of its own, for scripts and tests; `close` ends it. */
export function connectedDatabase(url: string, options: Options = {}): Connected {
  const connection = { ...ANY_CONNECTION, ...options.connection }
  const client = postgres(url, { max: 10, onnotice: () => {}, ...options, connection })
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

/** Whether what is read now may be given up again: nothing of it is to be remembered. */
export const isInTransaction = (): boolean => inTransaction.getStore() !== undefined

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

/** The next use opens another pool; whatever still waits for the old one fails within a second. */
export function renewedPool(): void {
  const old = shared
  shared = undefined
  void old?.client.end({ timeout: 1 }).catch(() => undefined)
}

/** Where the server's database is. Errors: throws when DATABASE_URL is not set. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set; `npm start` sets it up')
  return url
}

function connection(): Connected {
  shared ??= connectedDatabase(databaseUrl(), FOR_REQUESTS)
  return shared
}
