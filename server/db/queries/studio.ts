import type { House, Stations } from '#core/follow/floor'
import type { Gear } from '#core/plan/estimate'
import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'
import { count, eq, getTableColumns, sql } from 'drizzle-orm'
import type { PgTable } from 'drizzle-orm/pg-core'
import type { Database } from '../database'
import {
  blockRevisions,
  blocks,
  clients,
  coaches,
  datedSessions,
  exposures,
  loggedSets,
  measurements,
  painReports,
} from '../schema'

export interface NewClient {
  readonly id: ClientId
  readonly name: string
  readonly about: string
  readonly facts: ClientFacts
  readonly method: string
  readonly profile: Profile
  readonly blockId: BlockId
  readonly plan: PlanDocument
}
export interface NewCoach {
  readonly id: CoachId
  readonly email: string
  readonly name: string
  readonly studio: string
  readonly passwordHash: string
  /** What the studio can load; the usual steps where nothing is said. */
  readonly gear?: Gear
  /** How many stations there are; what is not named is plenty. */
  readonly stations?: Stations
  /** Its hours, who helps, and closed days. */
  readonly house?: House
  /** A studio to look around in, that goes after a day. */
  readonly isDemo?: boolean
}

/** Writes a coach with clients and their first plans, all or nothing. */
export async function insertStudio(
  db: Database,
  coach: NewCoach,
  newClients: readonly NewClient[],
): Promise<void> {
  await db.transaction(async tx => {
    await tx.insert(coaches).values(coach)
    for (const [
      position,
      { blockId, plan, id, name, about, facts, method, profile },
    ] of newClients.entries()) {
      const client = { id, name, about, facts, method, profile }
      await tx.insert(clients).values({ coachId: coach.id, position, ...client })
      await tx
        .insert(blocks)
        .values({ coachId: coach.id, id: blockId, clientId: client.id, version: 1, plan })
      await tx.insert(blockRevisions).values({ coachId: coach.id, blockId, version: 1, plan })
    }
  })
}

/**
 * Writes many rows as one JSON value: a statement with a parameter for each field of thousands of rows takes a second to put
 * together. Fields of the table are named as in code; one that no row has is left to its default.
 */
async function insertAll(
  db: Pick<Database, 'execute'>,
  table: PgTable,
  rows: readonly object[],
): Promise<void> {
  if (rows.length === 0) return
  const given = new Set(rows.flatMap(row => Object.keys(row)))
  const columns = Object.entries(getTableColumns(table)).filter(([key]) => given.has(key))
  const named = rows.map(row =>
    Object.fromEntries(columns.map(([key, { name }]) => [name, row[key as keyof typeof row]])),
  )
  const names = sql.join(
    columns.map(([, { name }]) => sql.identifier(name)),
    sql`, `,
  )
  await db.execute(
    sql`insert into ${table} (${names}) select ${names} from json_populate_recordset(null::${table}, ${JSON.stringify(named)}::json)`,
  )
}

export interface NewHistory {
  readonly clientId: ClientId
  readonly closedBlocks: readonly {
    readonly id: BlockId
    readonly plan: PlanDocument
    readonly closedAt: Date
  }[]
  readonly sessions: readonly Omit<typeof datedSessions.$inferInsert, 'coachId' | 'clientId'>[]
  readonly sets: readonly Omit<typeof loggedSets.$inferInsert, 'coachId' | 'clientId'>[]
  readonly exposures: readonly Omit<typeof exposures.$inferInsert, 'coachId' | 'clientId'>[]
  readonly pains: readonly Omit<typeof painReports.$inferInsert, 'coachId' | 'clientId'>[]
  readonly measurements: readonly Omit<typeof measurements.$inferInsert, 'coachId' | 'clientId'>[]
}

/** Writes what clients have done so far, all or nothing. */
export async function insertHistories(
  db: Database,
  coachId: CoachId,
  histories: readonly NewHistory[],
): Promise<void> {
  const rows = <Row>(of: (history: NewHistory) => readonly Row[]) =>
    histories.flatMap(history =>
      of(history).map(row => ({ ...row, coachId, clientId: history.clientId })),
    )
  const written: readonly (readonly [table: PgTable, rows: readonly object[]])[] = [
    [blocks, rows(of => of.closedBlocks.map(block => ({ ...block, version: 1 })))],
    [datedSessions, rows(of => of.sessions)],
    [loggedSets, rows(of => of.sets)],
    [exposures, rows(of => of.exposures)],
    [painReports, rows(of => of.pains)],
    [measurements, rows(of => of.measurements)],
  ]
  await db.transaction(async tx => {
    for (const [table, all] of written) await insertAll(tx, table, all)
  })
}

/** Number of coaches, to tell an empty database. */
export async function coachCount(db: Database): Promise<number> {
  const [row] = await db.select({ coaches: count() }).from(coaches)
  return row?.coaches ?? 0
}

/** Removes a coach with everything that is hers. */
export async function deleteCoach(db: Database, email: string): Promise<void> {
  await db.delete(coaches).where(eq(coaches.email, email))
}

/** Gives a coach another password. */
export async function setPasswordHash(
  db: Database,
  email: string,
  passwordHash: string,
): Promise<void> {
  await db.update(coaches).set({ passwordHash }).where(eq(coaches.email, email))
}
