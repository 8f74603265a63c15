import type { CoachId } from '#core/base'
import { and, eq, gt, lt } from 'drizzle-orm'
import type { Database } from '../database'
import { coaches, signIns } from '../schema'

/** The coach with an email, for signing in. */
export async function coachByEmail(db: Database, email: string) {
  const [coach] = await db.select().from(coaches).where(eq(coaches.email, email)).limit(1)
  return coach
}

/** Keeps a sign-in and drops the coach's expired ones. */
export async function insertSignIn(db: Database, signIn: { coachId: CoachId, id: string, expiresAt: Date }, now: Date): Promise<void> {
  await db.delete(signIns).where(and(eq(signIns.coachId, signIn.coachId), lt(signIns.expiresAt, now)))
  await db.insert(signIns).values(signIn)
}

/** The coach behind a sign-in that is still good. */
export async function signedInCoach(db: Database, signIn: { coachId: CoachId, id: string }, now: Date) {
  const [row] = await db.select({ id: coaches.id, name: coaches.name, studio: coaches.studio })
    .from(signIns).innerJoin(coaches, eq(coaches.id, signIns.coachId))
    .where(and(eq(signIns.coachId, signIn.coachId), eq(signIns.id, signIn.id), gt(signIns.expiresAt, now))).limit(1)
  return row
}

/** Ends a sign-in. */
export async function deleteSignIn(db: Database, signIn: { coachId: CoachId, id: string }): Promise<void> {
  await db.delete(signIns).where(and(eq(signIns.coachId, signIn.coachId), eq(signIns.id, signIn.id)))
}
