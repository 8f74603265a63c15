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
      version: planTemplates.version,
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
): Promise<boolean> {
  const rows = await db
    .insert(planTemplates)
    .values({ coachId, ...template })
    .onConflictDoNothing()
    .returning({ id: planTemplates.id })
  return rows.length > 0
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

/** So many versions of a template are kept to tell what changed since. */
const MOST_EARLIER = 8

/** Puts another content in place of a template's; false if the coach has none by that id. */
export async function replacePlanTemplate(
  db: Database,
  coachId: CoachId,
  { id, content }: Pick<PlanTemplate, 'id' | 'content'>,
): Promise<boolean> {
  const [held] = await db.select().from(planTemplates).where(own(coachId, id)).for('update')
  if (!held) return false
  const { version, earlier } = held
  await db
    .update(planTemplates)
    .set({
      content,
      version: version + 1,
      earlier: [...earlier, { version, content: held.content }].slice(-MOST_EARLIER),
    })
    .where(own(coachId, id))
  return true
}

/** A template as it is, with its content in a version; undefined if the coach has none by that id. */
export async function planTemplateSince(
  db: Database,
  coachId: CoachId,
  id: string,
  version: number,
) {
  const [held] = await db.select().from(planTemplates).where(own(coachId, id))
  if (!held) return undefined
  const before = held.earlier.find(one => one.version === version)?.content
  return {
    name: held.name,
    version: held.version,
    content: carriedDocument(held.content),
    before: before && carriedDocument(before),
  }
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
