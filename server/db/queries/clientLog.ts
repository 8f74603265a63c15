import type { ClientId, CoachId, PlainDate } from '#core/base'
import { and, asc, desc, eq, gte, inArray, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, logEntries, loggedSets } from '../schema'

/** How clients set up their stations, as they said it, latest first. */
export async function setUpsOf(db: Database, coachId: CoachId, ids: readonly ClientId[]) {
  const rows = await db
    .select({
      clientId: logEntries.clientId,
      on: datedSessions.on,
      word: logEntries.word,
    })
    .from(logEntries)
    .innerJoin(
      datedSessions,
      and(
        eq(datedSessions.coachId, logEntries.coachId),
        eq(datedSessions.id, logEntries.sessionId),
      ),
    )
    .where(
      and(
        eq(logEntries.coachId, coachId),
        inArray(logEntries.clientId, [...ids]),
        eq(logEntries.outcome, 'taken'),
        sql`${logEntries.word}->>'kind' = 'set_up'`,
      ),
    )
    .orderBy(desc(datedSessions.on), desc(logEntries.seq))
  return rows.flatMap(({ word, ...row }) =>
    word.kind === 'set_up' ? [{ ...row, exercise: word.exercise, setUp: word.setUp }] : [],
  )
}

/** Exercises in a client's log since a day, and in how many sessions any was done. */
export async function doneSince(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
): Promise<{ readonly exercises: readonly string[]; readonly sessions: number }> {
  const rows = await db
    .select({
      exercise: loggedSets.exercise,
      sessions: sql<string[]>`array_agg(distinct ${loggedSets.sessionId})`,
    })
    .from(loggedSets)
    .innerJoin(
      datedSessions,
      and(
        eq(datedSessions.coachId, loggedSets.coachId),
        eq(datedSessions.id, loggedSets.sessionId),
      ),
    )
    .where(
      and(
        eq(loggedSets.coachId, coachId),
        eq(loggedSets.clientId, clientId),
        gte(datedSessions.on, since),
      ),
    )
    .groupBy(loggedSets.exercise)
    .orderBy(asc(loggedSets.exercise))
  return {
    exercises: rows.map(({ exercise }) => exercise),
    sessions: new Set(rows.flatMap(({ sessions }) => sessions)).size,
  }
}
