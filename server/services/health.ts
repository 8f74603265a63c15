import { sql } from 'drizzle-orm'
import { isDatabaseUp } from '../db/away'
import { database } from '../db/database'

/** Whether a request could be answered: the database is there, through the pool that requests use, within a deadline. */
export const isWell = (): Promise<boolean> =>
  isDatabaseUp(async () => database().execute(sql`select 1`))
