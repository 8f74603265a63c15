import { grantedTo, roleOf } from './appRole'
import { connectedDatabase, type Database } from './database'
import { aloneAtIt, migrated } from './migrate'

/**
 * Migrates the database for its owner, opens what is new to the application's role and does what else is to be done with
 * it; of several at once one does it after the other.
 *
 * Errors: `NewerDatabase` where a newer version has prepared it.
 */
export async function preparedBy(
  ownerUrl: string,
  appUrl: string | undefined,
  work: (db: Database) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  const { db, client, close } = connectedDatabase(ownerUrl)
  try {
    await aloneAtIt(client, async () => {
      await migrated(db)
      if (appUrl && appUrl !== ownerUrl) await grantedTo(roleOf(appUrl), client)
      await work(db)
    })
  } finally {
    await close()
  }
}
