import { type AnyColumn, type SQL, sql } from 'drizzle-orm'

/** Whether a column holds one of some ids: one text however many they are, so that the database plans it once. */
export const among = (column: AnyColumn, ids: readonly string[]): SQL =>
  sql`${column} = any(${sql.param([...ids])}::uuid[])`
