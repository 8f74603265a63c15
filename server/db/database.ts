import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema'

export type Database = PostgresJsDatabase<typeof schema>

/** A connection of its own, for scripts and tests; `close` ends it. */
export function connectedDatabase(url: string): { readonly db: Database, readonly close: () => Promise<void> } {
  const client = postgres(url, { max: 10, onnotice: () => {} })
  return { db: drizzle(client, { schema }), close: () => client.end({ timeout: 5 }) }
}

let shared: ReturnType<typeof connectedDatabase> | undefined

/** The server's connection pool, opened on first use. Errors: throws when DATABASE_URL is not set. */
export function database(): Database {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set; `npm start` sets it up')
  shared ??= connectedDatabase(url)
  return shared.db
}
