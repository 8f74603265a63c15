import type { CoachId } from '#core/base'
import { and, desc, eq } from 'drizzle-orm'
import type { PlanTemplate } from '#shared/contracts/planTemplate'
import { carriedDocument } from '../documents'
import type { Database } from '../database'
import { planTemplates } from '../schema'

/** Rotations and blocks a coach keeps, the newest first. */
export async function planTemplatesOf(db: Database, coachId: CoachId): Promise<PlanTemplate[]> {
  const rows = await db
    .select({
      id: planTemplates.id,
      name: planTemplates.name,
      reason: planTemplates.reason,
      content: planTemplates.content,
    })
    .from(planTemplates)
    .where(eq(planTemplates.coachId, coachId))
    .orderBy(desc(planTemplates.savedAt), desc(planTemplates.id))
  return rows.map(row => ({ ...row, content: carriedDocument(row.content) }))
}

const own = (coachId: CoachId, id: string) =>
  and(eq(planTemplates.coachId, coachId), eq(planTemplates.id, id))

export async function insertPlanTemplate(
  db: Database,
  coachId: CoachId,
  template: PlanTemplate,
): Promise<void> {
  await db.insert(planTemplates).values({ coachId, ...template })
}

/** Changes name and reason; false if the coach has none by that id. */
export async function renamePlanTemplate(
  db: Database,
  coachId: CoachId,
  { id, name, reason }: Pick<PlanTemplate, 'id' | 'name' | 'reason'>,
): Promise<boolean> {
  const rows = await db
    .update(planTemplates)
    .set({ name, reason })
    .where(own(coachId, id))
    .returning({ id: planTemplates.id })
  return rows.length > 0
}

/** Removes a template; false if the coach has none by that id. */
export async function deletePlanTemplate(
  db: Database,
  coachId: CoachId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(planTemplates)
    .where(own(coachId, id))
    .returning({ id: planTemplates.id })
  return rows.length > 0
}
