import type { ClientId, CoachId } from '#core/base'
import { and, desc, eq } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, messages } from '../schema'

export async function insertMessage(
  db: Pick<Database, 'insert'>,
  message: typeof messages.$inferInsert,
): Promise<void> {
  await db.insert(messages).values(message)
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
