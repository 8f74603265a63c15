import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { and, desc, eq, isNotNull, sql } from 'drizzle-orm'
import { planDocument } from '../documents'
import type { Database } from '../database'
import { currentTime } from '../../clock'
import { blockRevisions, blocks } from '../schema'

/** A block as it stands; undefined if there is none, or if it is another coach's. */
export async function blockOf(db: Database, coachId: CoachId, blockId: BlockId) {
  const [row] = await db
    .select({ version: blocks.version, savedAt: blocks.savedAt, plan: blocks.plan })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
    .limit(1)
  return row && { ...row, plan: planDocument(row.plan) }
}

/** The plan of the block a client closed last; undefined where none was. */
export async function lastClosedPlan(db: Database, coachId: CoachId, clientId: ClientId) {
  const [row] = await db
    .select({ plan: blocks.plan })
    .from(blocks)
    .where(
      and(eq(blocks.coachId, coachId), eq(blocks.clientId, clientId), isNotNull(blocks.closedAt)),
    )
    .orderBy(desc(blocks.closedAt))
    .limit(1)
  return row && planDocument(row.plan)
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
