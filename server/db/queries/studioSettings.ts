import type { CoachId } from '#core/base'
import type { Credits, Exercise } from '#core/plan/catalogue'
import type { Method } from '#core/plan/method'
import { CreditsContract, OwnExerciseContract } from '#shared/contracts/library'
import { MethodContract } from '#shared/contracts/method'
import { and, asc, eq } from 'drizzle-orm'
import type { Database } from '../database'
import { currentTime } from '../../clock'
import { creditChanges, methods, ownExercises } from '../schema'

/** Methods of a coach's own, in the order they were made. */
export async function ownMethods(db: Database, coachId: CoachId) {
  const rows = await db
    .select({ method: methods.method, basedOn: methods.basedOn })
    .from(methods)
    .where(eq(methods.coachId, coachId))
    .orderBy(asc(methods.id))
  return rows.map(({ method, basedOn }) => ({ basedOn, method: MethodContract.parse(method) }))
}

/** Adds a method. */
export async function insertMethod(
  db: Database,
  coachId: CoachId,
  basedOn: string,
  method: Method,
): Promise<void> {
  await db.insert(methods).values({ coachId, id: method.id, basedOn, method })
}

/** Writes a changed method; false if the coach has none by that id. */
export async function updateMethod(
  db: Database,
  coachId: CoachId,
  method: Method,
): Promise<boolean> {
  const rows = await db
    .update(methods)
    .set({ method, savedAt: currentTime() })
    .where(and(eq(methods.coachId, coachId), eq(methods.id, method.id)))
    .returning({ id: methods.id })
  return rows.length > 0
}

/** Removes a method. */
export async function deleteMethod(db: Database, coachId: CoachId, id: string): Promise<void> {
  await db.delete(methods).where(and(eq(methods.coachId, coachId), eq(methods.id, id)))
}

/** Exercises a coach has added, retired ones included, and credits she has changed for everyone. */
export async function libraryOf(db: Database, coachId: CoachId) {
  const [exercises, changes] = await Promise.all([
    db
      .select({ exercise: ownExercises.exercise, retiredAt: ownExercises.retiredAt })
      .from(ownExercises)
      .where(eq(ownExercises.coachId, coachId))
      .orderBy(asc(ownExercises.id)),
    db
      .select({ key: creditChanges.key, credits: creditChanges.credits })
      .from(creditChanges)
      .where(eq(creditChanges.coachId, coachId))
      .orderBy(asc(creditChanges.key)),
  ])
  return {
    exercises: exercises.map(({ exercise, retiredAt }) => ({
      exercise: OwnExerciseContract.parse(exercise),
      isRetired: retiredAt !== null,
    })),
    credits: Object.fromEntries(
      changes.map(({ key, credits }) => [key, CreditsContract.parse(credits)]),
    ),
  }
}

/** Adds an exercise, or writes a changed one. */
export async function putExercise(
  db: Database,
  coachId: CoachId,
  exercise: Exercise,
): Promise<void> {
  await db
    .insert(ownExercises)
    .values({ coachId, id: exercise.id, exercise })
    .onConflictDoUpdate({ target: [ownExercises.coachId, ownExercises.id], set: { exercise } })
}

/** Takes an exercise out of the library, or brings it back; plans of the past still know it. */
export async function setRetired(
  db: Database,
  coachId: CoachId,
  id: string,
  at: Date | null,
): Promise<void> {
  await db
    .update(ownExercises)
    .set({ retiredAt: at })
    .where(and(eq(ownExercises.coachId, coachId), eq(ownExercises.id, id)))
}

/** Changes credits for everyone; null brings the usual ones back. */
export async function putCredits(
  db: Database,
  coachId: CoachId,
  key: string,
  credits: Credits | null,
): Promise<void> {
  if (credits === null)
    await db
      .delete(creditChanges)
      .where(and(eq(creditChanges.coachId, coachId), eq(creditChanges.key, key)))
  else
    await db
      .insert(creditChanges)
      .values({ coachId, key, credits })
      .onConflictDoUpdate({ target: [creditChanges.coachId, creditChanges.key], set: { credits } })
}
