import { sql } from 'drizzle-orm'
import type { Database } from './database'
import { lastMigration } from './migrationsFolder'

/*
 * Which migration a database stands at is written where every role may read it: the comment on its schema.
 */
const PREFIX = 'tholepin at '

/** A database that was prepared by a newer version of this program. */
export class NewerDatabase extends Error {
  constructor(at: number) {
    super(
      `This database was prepared by a newer version (it stands at migration ${at}, this version knows ${lastMigration()}). Start that version, or name another database in DATABASE_URL.`,
    )
    this.name = 'NewerDatabase'
  }
}

/** The migration a database stands at; null where it was never prepared, or by a version that wrote none. */
export async function migrationOf(db: Database): Promise<number | null> {
  const [row] = (await db.execute(
    sql`select obj_description('public'::regnamespace, 'pg_namespace') as said`,
  )) as unknown as readonly { readonly said: string | null }[]
  const [, at] = new RegExp(`^${PREFIX}(\\d+)$`).exec(row?.said ?? '') ?? []
  return at === undefined ? null : Number(at)
}

/** Refuses a database that is ahead of this version; one that is behind is to be migrated. */
export async function notNewer(db: Database): Promise<void> {
  const at = await migrationOf(db)
  if (at !== null && at > lastMigration()) throw new NewerDatabase(at)
}

/** Writes down that a database stands where this version does. */
export async function stamped(db: Database): Promise<void> {
  await db.execute(sql.raw(`comment on schema public is '${PREFIX}${lastMigration()}'`))
}

/** Whether this version can work with a database: it stands at its last migration, or at a later one that keeps to it. */
export const isMigrated = async (db: Database): Promise<boolean> =>
  ((await migrationOf(db)) ?? -1) >= lastMigration()
