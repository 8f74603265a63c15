import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { and, asc, desc, eq, lt, sql } from 'drizzle-orm'
import { planDocument } from '../documents'
import type { Database } from '../database'
import { currentTime } from '../../clock'
import { blockRevisions, blocks, datedSessions } from '../schema'

/** A block as it stands; undefined if there is none, or if it is another coach's. */
export async function blockOf(db: Database, coachId: CoachId, blockId: BlockId) {
  const [row] = await db
    .select({ version: blocks.version, savedAt: blocks.savedAt, plan: blocks.plan })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
    .limit(1)
  return row && { ...row, plan: planDocument(row.plan) }
}

/** Every block of a client by the day it begins. */
export async function blocksOf(db: Database, coachId: CoachId, clientId: ClientId) {
  const rows = await db
    .select({ id: blocks.id, version: blocks.version, plan: blocks.plan })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.clientId, clientId)))
    .orderBy(asc(blocks.startsOn), asc(blocks.savedAt))
  return rows.map(row => ({ ...row, plan: planDocument(row.plan) }))
}

/** Holds every block of a client for this transaction, so that nobody saves one meanwhile. */
export async function lockBlocks(
  tx: Database,
  coachId: CoachId,
  clientId: ClientId,
): Promise<void> {
  await tx
    .select({ id: blocks.id })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.clientId, clientId)))
    .for('update')
}

/** Every block of the client a block belongs to; empty for another coach's. */
export async function blocksAround(db: Database, coachId: CoachId, blockId: BlockId) {
  const [owner] = await db
    .select({ clientId: blocks.clientId })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
  return owner ? blocksOf(db, coachId, owner.clientId) : []
}

/** The plan of the block that began last before a day; undefined where none did. */
export async function planBefore(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  day: PlainDate,
) {
  const [row] = await db
    .select({ plan: blocks.plan })
    .from(blocks)
    .where(
      and(eq(blocks.coachId, coachId), eq(blocks.clientId, clientId), lt(blocks.startsOn, day)),
    )
    .orderBy(desc(blocks.startsOn))
    .limit(1)
  return row && planDocument(row.plan)
}

/** Plans of the blocks that dated sessions of a client between two days belong to. */
export async function plansBetween(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  { from, to }: { readonly from: PlainDate; readonly to: PlainDate },
) {
  const rows = await db
    .select({ id: blocks.id, plan: blocks.plan })
    .from(blocks)
    .where(
      and(
        eq(blocks.coachId, coachId),
        eq(blocks.clientId, clientId),
        sql`exists (select 1 from ${datedSessions} d where d.coach_id = ${blocks.coachId} and d.block_id = ${blocks.id} and d.on between ${from} and ${to})`,
      ),
    )
  return new Map(rows.map(({ id, plan }) => [id, planDocument(plan)]))
}

/**
 * Saves a plan over the version it was made from, and keeps it as a revision.
 *
 * Edge: undefined when the block is at another version by now (or not there); then nothing is written.
 */
export async function savePlanOver(
  db: Database,
  save: { coachId: CoachId; blockId: BlockId; version: number; plan: PlanDocument },
) {
  return db.transaction(async tx => {
    const [saved] = await tx
      .update(blocks)
      .set({ plan: save.plan, version: sql`${blocks.version} + 1`, savedAt: currentTime() })
      .where(
        and(
          eq(blocks.coachId, save.coachId),
          eq(blocks.id, save.blockId),
          eq(blocks.version, save.version),
        ),
      )
      .returning({ version: blocks.version, savedAt: blocks.savedAt })
    if (!saved) return undefined
    await tx.insert(blockRevisions).values({
      coachId: save.coachId,
      blockId: save.blockId,
      version: saved.version,
      plan: save.plan,
      savedAt: saved.savedAt,
    })
    return saved
  })
}
