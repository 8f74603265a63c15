import type { ClientId, CoachId, PlainDate } from '#core/base'
import { and, asc, desc, eq, gte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, logEntries, loggedSets } from '../schema'

/** How a client set up her stations, as she said it, latest first. */
export function setUpsOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select({ on: datedSessions.on, word: logEntries.word })
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
        eq(logEntries.clientId, clientId),
        eq(logEntries.outcome, 'taken'),
        sql`${logEntries.word}->>'kind' = 'set_up'`,
      ),
    )
    .orderBy(desc(datedSessions.on), desc(logEntries.seq))
    .limit(MOST_SET_UPS)
}
const MOST_SET_UPS = 400

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
