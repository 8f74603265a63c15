import { sql } from 'drizzle-orm'
import { database } from '../db/database'

/** Whether the database answers. */
export async function isDatabaseUp(): Promise<boolean> {
  return database()
    .execute(sql`select 1`)
    .then(
      () => true,
      () => false,
    )
}
