import type { CoachId } from '#core/base'
import type { Gear } from '#core/plan/estimate'
import { GearContract } from '#shared/contracts/gear'
import { and, count, eq, gt, lt, ne } from 'drizzle-orm'
import type { Database } from '../database'
import { coaches, signIns } from '../schema'

/** The coach with an email, for signing in. */
export async function coachByEmail(db: Database, email: string) {
  const [coach] = await db.select().from(coaches).where(eq(coaches.email, email)).limit(1)
  return coach
}

/** Keeps a sign-in and drops the coach's expired ones. */
export async function insertSignIn(
  db: Database,
  signIn: { coachId: CoachId; id: string; expiresAt: Date },
  now: Date,
): Promise<void> {
  await db
    .delete(signIns)
    .where(and(eq(signIns.coachId, signIn.coachId), lt(signIns.expiresAt, now)))
  await db.insert(signIns).values(signIn)
}

/** The coach behind a sign-in that is still good. */
export async function signedInCoach(
  db: Database,
  signIn: { coachId: CoachId; id: string },
  now: Date,
) {
  const [row] = await db
    .select({
      id: coaches.id,
      name: coaches.name,
      studio: coaches.studio,
      writing: coaches.writing,
      isDemo: coaches.isDemo,
    })
    .from(signIns)
    .innerJoin(coaches, eq(coaches.id, signIns.coachId))
    .where(
      and(
        eq(signIns.coachId, signIn.coachId),
        eq(signIns.id, signIn.id),
        gt(signIns.expiresAt, now),
      ),
    )
    .limit(1)
  return row
}

/** Ends a sign-in. */
export async function deleteSignIn(
  db: Database,
  signIn: { coachId: CoachId; id: string },
): Promise<void> {
  await db
    .delete(signIns)
    .where(and(eq(signIns.coachId, signIn.coachId), eq(signIns.id, signIn.id)))
}

/** Ends every sign-in of a coach, but for one that is to stay. */
export async function deleteSignIns(
  db: Database,
  coachId: CoachId,
  except?: string,
): Promise<void> {
  await db
    .delete(signIns)
    .where(
      and(eq(signIns.coachId, coachId), except === undefined ? undefined : ne(signIns.id, except)),
    )
}

/** A coach's own account with the number of sign-ins that are still good. */
export async function accountOf(db: Database, coachId: CoachId, now: Date) {
  const [row] = await db
    .select({
      name: coaches.name,
      studio: coaches.studio,
      email: coaches.email,
      gear: coaches.gear,
      writing: coaches.writing,
      isDemo: coaches.isDemo,
      passwordHash: coaches.passwordHash,
      signIns: count(signIns.id),
    })
    .from(coaches)
    .leftJoin(signIns, and(eq(signIns.coachId, coaches.id), gt(signIns.expiresAt, now)))
    .where(eq(coaches.id, coachId))
    .groupBy(coaches.id)
  return row
}

/** Writes a new coach; undefined if the email is taken. */
export async function insertCoach(db: Database, coach: typeof coaches.$inferInsert) {
  const [row] = await db
    .insert(coaches)
    .values(coach)
    .onConflictDoNothing({ target: coaches.email })
    .returning({
      id: coaches.id,
      name: coaches.name,
      studio: coaches.studio,
      isDemo: coaches.isDemo,
    })
  return row
}

/** Keeps that somebody asked for a new account with an email that has one. */
export async function keepTriedSignUp(db: Database, email: string, at: Date): Promise<void> {
  await db.update(coaches).set({ signUpTriedAt: at }).where(eq(coaches.email, email))
}

/** When somebody last asked for a new account with the coach's email; null for never. */
export async function triedSignUp(db: Database, coachId: CoachId): Promise<Date | null> {
  const [row] = await db
    .select({ at: coaches.signUpTriedAt })
    .from(coaches)
    .where(eq(coaches.id, coachId))
  return row?.at ?? null
}

/** What a coach's studio can load. */
export async function gearOf(db: Database, coachId: CoachId): Promise<Gear> {
  const [row] = await db.select({ gear: coaches.gear }).from(coaches).where(eq(coaches.id, coachId))
  return GearContract.parse(row?.gear ?? {})
}

export async function setGear(db: Database, coachId: CoachId, gear: Gear): Promise<void> {
  await db.update(coaches).set({ gear }).where(eq(coaches.id, coachId))
}

/** A coach's name, studio and way of writing. */
export async function updateCoach(
  db: Database,
  coachId: CoachId,
  changed: Pick<typeof coaches.$inferInsert, 'name' | 'studio' | 'writing'>,
): Promise<void> {
  await db.update(coaches).set(changed).where(eq(coaches.id, coachId))
}

/** Erases a coach with everything of hers. */
export async function eraseCoach(db: Database, coachId: CoachId): Promise<void> {
  await db.delete(coaches).where(eq(coaches.id, coachId))
}

/** Erases studios to look around in that were made before an instant. */
export async function eraseDemosBefore(db: Database, instant: Date): Promise<void> {
  await db.delete(coaches).where(and(eq(coaches.isDemo, true), lt(coaches.createdAt, instant)))
}

/** Gives a coach another password. */
export async function setCoachPassword(
  db: Database,
  coachId: CoachId,
  passwordHash: string,
): Promise<void> {
  await db.update(coaches).set({ passwordHash }).where(eq(coaches.id, coachId))
}
