import type { CoachId } from '#core/base'
import type { Session } from '#core/plan/session'
import { and, desc, eq } from 'drizzle-orm'
import { sessionDocument } from '../documents'
import type { Database } from '../database'
import { sessionTemplates } from '../schema'

/** Session templates of a coach's own, the newest first. */
export async function sessionTemplatesOf(db: Database, coachId: CoachId) {
  const rows = await db
    .select({
      id: sessionTemplates.id,
      name: sessionTemplates.name,
      reason: sessionTemplates.reason,
      content: sessionTemplates.content,
    })
    .from(sessionTemplates)
    .where(eq(sessionTemplates.coachId, coachId))
    .orderBy(desc(sessionTemplates.savedAt), desc(sessionTemplates.id))
  return rows.map(row => ({ ...row, content: sessionDocument(row.content) }))
}

/** Keeps a session as a template. */
export async function insertSessionTemplate(
  db: Database,
  coachId: CoachId,
  template: {
    readonly id: string
    readonly name: string
    readonly reason: string
    readonly content: Session
  },
): Promise<boolean> {
  const rows = await db
    .insert(sessionTemplates)
    .values({ coachId, ...template })
    .onConflictDoNothing()
    .returning({ id: sessionTemplates.id })
  return rows.length > 0
}

/** Removes a template; false if the coach has none by that id. */
export async function deleteSessionTemplate(
  db: Database,
  coachId: CoachId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(sessionTemplates)
    .where(and(eq(sessionTemplates.coachId, coachId), eq(sessionTemplates.id, id)))
    .returning({ id: sessionTemplates.id })
  return rows.length > 0
}
