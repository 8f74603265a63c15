import { and, type AnyColumn, eq, type SQL } from 'drizzle-orm'
import { datedSessions } from '../schema'

/**
 * Joins rows to the sessions they are of. Whose they are is asked of the sessions alone: then the database goes from the
 * client's few sessions to their rows by the whole key, where it could otherwise walk through all her rows once a session.
 */
export const ofSession = (row: {
  readonly coachId: AnyColumn
  readonly sessionId: AnyColumn
}): SQL | undefined =>
  and(eq(datedSessions.coachId, row.coachId), eq(datedSessions.id, row.sessionId))
