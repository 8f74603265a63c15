import type { BlockId, CoachId } from '#core/base'
import { and, desc, eq } from 'drizzle-orm'
import { planDocument } from '../documents'
import type { Database } from '../database'
import { blockRevisions, blocks } from '../schema'

const ofBlock = (coachId: CoachId, blockId: BlockId) =>
  and(eq(blockRevisions.coachId, coachId), eq(blockRevisions.blockId, blockId))

/** The latest saves of a block, the newest first, with what is needed to say how they differ. */
export async function revisionsOf(db: Database, coachId: CoachId, blockId: BlockId, most: number) {
  const rows = await db
    .select({
      version: blockRevisions.version,
      savedAt: blockRevisions.savedAt,
      name: blockRevisions.name,
      plan: blockRevisions.plan,
    })
    .from(blockRevisions)
    .where(ofBlock(coachId, blockId))
    .orderBy(desc(blockRevisions.version))
    .limit(most)
  return rows.map(({ plan, ...row }) => ({ ...row, plan: planDocument(plan) }))
}

/** One save of a block; undefined if there is none. */
export async function revisionOf(
  db: Database,
  coachId: CoachId,
  blockId: BlockId,
  version: number,
) {
  const [row] = await db
    .select({ plan: blockRevisions.plan })
    .from(blockRevisions)
    .where(and(ofBlock(coachId, blockId), eq(blockRevisions.version, version)))
    .limit(1)
  return row && planDocument(row.plan)
}

/** Keeps the plan a block stands at as the revision of its version, where that is not there yet. */
export async function keepFirstRevision(db: Database, coachId: CoachId, blockId: BlockId) {
  const [row] = await db
    .select({ version: blocks.version, plan: blocks.plan })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
  if (row)
    await db
      .insert(blockRevisions)
      .values({ coachId, blockId, ...row, name: 'Begun' })
      .onConflictDoNothing()
}

/** Gives a save a name, or takes it away; false if there is no such save. */
export async function nameRevision(
  db: Database,
  coachId: CoachId,
  blockId: BlockId,
  version: number,
  name: string | null,
): Promise<boolean> {
  const rows = await db
    .update(blockRevisions)
    .set({ name })
    .where(and(ofBlock(coachId, blockId), eq(blockRevisions.version, version)))
    .returning({ version: blockRevisions.version })
  return rows.length > 0
}
