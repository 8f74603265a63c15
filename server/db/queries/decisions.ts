import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import { and, asc, desc, eq, gte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, decisions, logEntries } from '../schema'
import { ofSession } from './ofSession'
import { sessionFactColumns } from './sessionFacts'

/** Decisions about a block's proposals, the newest first. */
export function decisionsOf(db: Database, coachId: CoachId, block: BlockId) {
  return db
    .select()
    .from(decisions)
    .where(and(eq(decisions.coachId, coachId), eq(decisions.blockId, block)))
    .orderBy(desc(decisions.decidedAt))
}

/** What tells by client whether anything was decided since: how much was, and when last. */
export async function decidedStamps(
  db: Database,
  coachId: CoachId,
): Promise<ReadonlyMap<ClientId, string>> {
  const rows = await db
    .select({
      client: decisions.clientId,
      stamp: sql<string>`count(*) || ' ' || max(${decisions.decidedAt})`,
    })
    .from(decisions)
    .where(eq(decisions.coachId, coachId))
    .groupBy(decisions.clientId)
  return new Map(rows.map(({ client, stamp }) => [client, stamp]))
}

export async function insertDecision(
  db: Pick<Database, 'insert'>,
  decision: typeof decisions.$inferInsert,
): Promise<void> {
  await db.insert(decisions).values(decision)
}

/** Dated sessions of a block with how they ended, by pass. */
export function outcomesOf(db: Database, coachId: CoachId, block: BlockId) {
  return db
    .select({
      id: datedSessions.id,
      pass: datedSessions.pass,
      day: datedSessions.day,
      place: datedSessions.place,
      name: datedSessions.name,
      minutes: datedSessions.minutes,
      times: datedSessions.times,
      isRecovered: datedSessions.isRecovered,
      note: datedSessions.note,
      ...sessionFactColumns,
    })
    .from(datedSessions)
    .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.blockId, block)))
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}

/** Notes a client wrote since a day. */
export function notesSince(db: Database, coachId: CoachId, clientId: ClientId, since: PlainDate) {
  return db
    .select({ text: sql<string>`${logEntries.word} ->> 'text'`, session: datedSessions.name })
    .from(logEntries)
    .innerJoin(datedSessions, ofSession(logEntries))
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        sql`${logEntries.word} ->> 'kind' = 'note'`,
        gte(datedSessions.on, since),
      ),
    )
    .orderBy(asc(logEntries.seq))
}
