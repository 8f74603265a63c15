import { sql } from 'drizzle-orm'
import { datedSessions, loggedSets } from '../schema'

/** Whether any working set of a dated session is in the log. */
export const hasSetsIn = sql<boolean>`exists (select 1 from ${loggedSets} l where l.coach_id = dated_sessions.coach_id and l.session_id = dated_sessions.id and l.role = 'working')`

/** What the state of a session is told from (core/body/log), for every query that lists sessions. */
export const sessionFactColumns = {
  on: datedSessions.on,
  isSent: sql<boolean>`${datedSessions.sentAt} is not null`,
  isOpened: sql<boolean>`${datedSessions.openedAt} is not null`,
  hasSets: hasSetsIn,
  isFinished: sql<boolean>`${datedSessions.finishedAt} is not null`,
  isDecided: sql<boolean>`${datedSessions.missedDecision} is not null`,
} as const
