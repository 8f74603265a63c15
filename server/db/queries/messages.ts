import type { ClientId, CoachId } from '#core/base'
import { and, asc, desc, eq, gte, inArray, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, messages } from '../schema'

export async function insertMessage(
  db: Pick<Database, 'insert'>,
  message: typeof messages.$inferInsert,
): Promise<void> {
  await db.insert(messages).values(message)
}

/** Takes back the coach's own words to a client that begin so. */
export async function deleteOwnMessages(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  opening: string,
): Promise<void> {
  await db
    .delete(messages)
    .where(
      and(
        eq(messages.coachId, coachId),
        eq(messages.clientId, clientId),
        eq(messages.kind, 'own'),
        sql`starts_with(${messages.text}, ${opening})`,
      ),
    )
}

const MOST = 200

/** What would have been sent to clients, the newest first. */
export function outboxOf(db: Database, coachId: CoachId, clientId?: ClientId) {
  return db
    .select({
      id: messages.id,
      clientId: messages.clientId,
      client: clients.name,
      kind: messages.kind,
      text: messages.text,
      writtenAt: messages.writtenAt,
    })
    .from(messages)
    .innerJoin(
      clients,
      and(eq(clients.coachId, messages.coachId), eq(clients.id, messages.clientId)),
    )
    .where(
      and(eq(messages.coachId, coachId), ...(clientId ? [eq(messages.clientId, clientId)] : [])),
    )
    .orderBy(desc(messages.writtenAt))
    .limit(MOST)
}

/** What clients were told on their sheets since an instant, in answer to pain or by the coach herself; the oldest first. */
export function toldSince(db: Database, coachId: CoachId, since: Date) {
  return db
    .select({
      clientId: messages.clientId,
      kind: messages.kind,
      text: messages.text,
      writtenAt: messages.writtenAt,
    })
    .from(messages)
    .where(
      and(
        eq(messages.coachId, coachId),
        inArray(messages.kind, ['pain', 'own']),
        gte(messages.writtenAt, since),
      ),
    )
    .orderBy(asc(messages.writtenAt))
}

const MOST_ON_SHEET = 3

/** What the coach wrote to a client herself, or about pain, since an instant; newest first. */
export function wordsSince(db: Database, coachId: CoachId, clientId: ClientId, since: Date) {
  return db
    .select({ id: messages.id, text: messages.text, writtenAt: messages.writtenAt })
    .from(messages)
    .where(
      and(
        eq(messages.coachId, coachId),
        eq(messages.clientId, clientId),
        inArray(messages.kind, ['own', 'pain']),
        gte(messages.writtenAt, since),
      ),
    )
    .orderBy(desc(messages.writtenAt))
    .limit(MOST_ON_SHEET)
}
