import type { CoachId } from '#core/base'
import { exposureValue, type LoggedSet, setsByExercise } from '#core/body/log'
import { turnsHeld } from '#core/plan/shorthand'
import { and, asc, eq } from 'drizzle-orm'
import { sessionDocument } from '../documents'
import { datedSessions, exposures, loggedSets } from '../schema'
import { weightOn } from './loadLog'
import type { Transaction } from './heldSessions'

/** Takes the trend values of a session out; how tired each muscle came does not change with what is put right about its sets. */
async function droppedExposures(tx: Transaction, coachId: CoachId, session: string) {
  const before = await tx
    .delete(exposures)
    .where(and(eq(exposures.coachId, coachId), eq(exposures.sessionId, session)))
    .returning({ exercise: exposures.exercise, tired: exposures.tired })
  return new Map(before.map(row => [row.exercise, row.tired]))
}

/** Works out the trend values of a session again. */
export async function renewExposures(
  tx: Transaction,
  coachId: CoachId,
  session: string,
): Promise<void> {
  const [of] = await tx
    .select({
      clientId: datedSessions.clientId,
      on: datedSessions.on,
      finishedAt: datedSessions.finishedAt,
      prescribed: datedSessions.prescribed,
    })
    .from(datedSessions)
    .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, session)))
  if (!of?.finishedAt) return
  const sets: readonly LoggedSet[] = await tx
    .select()
    .from(loggedSets)
    .where(and(eq(loggedSets.coachId, coachId), eq(loggedSets.sessionId, session)))
    .orderBy(asc(loggedSets.set), asc(loggedSets.stage), asc(loggedSets.at))
  const tired = await droppedExposures(tx, coachId, session)
  const bodyKg = await weightOn(tx, coachId, of.clientId, of.on)
  const about = { coachId, sessionId: session, clientId: of.clientId, on: of.on }
  const held = turnsHeld(sessionDocument(of.prescribed))
  const rows = setsByExercise(sets, held).flatMap(({ exercise, heldAs, sets: done }) => {
    const value = exposureValue(done, bodyKg)
    return value
      ? [{ ...about, exercise, tired: tired.get(exercise) ?? null, heldAs, ...value }]
      : []
  })
  if (rows.length > 0) await tx.insert(exposures).values(rows)
}
