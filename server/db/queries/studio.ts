import type { Gear } from '#core/plan/estimate'
import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'
import { count, eq } from 'drizzle-orm'
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

const CHUNK = 2000

/** Rows in pieces that the protocol can carry. */
async function insertAll<Row>(
  rows: readonly Row[],
  insert: (part: Row[]) => Promise<unknown>,
): Promise<void> {
  for (let from = 0; from < rows.length; from += CHUNK) await insert(rows.slice(from, from + CHUNK))
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
  await db.transaction(async tx => {
    await insertAll(
      rows(({ closedBlocks }) => closedBlocks),
      part => tx.insert(blocks).values(part.map(block => ({ ...block, version: 1 }))),
    )
    await insertAll(
      rows(of => of.sessions),
      part => tx.insert(datedSessions).values(part),
    )
    await insertAll(
      rows(of => of.sets),
      part => tx.insert(loggedSets).values(part),
    )
    await insertAll(
      rows(of => of.exposures),
      part => tx.insert(exposures).values(part),
    )
    await insertAll(
      rows(of => of.pains),
      part => tx.insert(painReports).values(part),
    )
    await insertAll(
      rows(of => of.measurements),
      part => tx.insert(measurements).values(part),
    )
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
