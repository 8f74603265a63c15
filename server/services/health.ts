import { sql } from 'drizzle-orm'
import { isDatabaseUp } from '../db/away'
import { database } from '../db/database'
import { isMigrated } from '../db/stamp'

/** Whether a request could be answered: the database is there, through the pool that requests use, within a deadline. */
export const isWell = (): Promise<boolean> =>
  isDatabaseUp(async () => database().execute(sql`select 1`))

/** Whether this server can work with its database: it is there, and migrated as far as this version needs. */
export async function isReady(): Promise<boolean> {
  let ready = false
  const isUp = await isDatabaseUp(async () => void (ready = await isMigrated(database())))
  return isUp && ready
}
