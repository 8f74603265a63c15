import type { ClientId, CoachId } from '#core/base'
import { and, desc, eq } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, coaches, shownLinks } from '../schema'

export async function insertShown(
  db: Database,
  link: typeof shownLinks.$inferInsert,
): Promise<void> {
  await db.insert(shownLinks).values(link)
}

/** Addresses of a client, the newest first. */
export const shownOf = (db: Database, coachId: CoachId, clientId: ClientId) =>
  db
    .select()
    .from(shownLinks)
    .where(and(eq(shownLinks.coachId, coachId), eq(shownLinks.clientId, clientId)))
    .orderBy(desc(shownLinks.createdAt))

/** Withdraws an address; false where there is none. */
export async function deleteShown(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(shownLinks)
    .where(
      and(
        eq(shownLinks.coachId, coachId),
        eq(shownLinks.clientId, clientId),
        eq(shownLinks.id, id),
      ),
    )
    .returning({ id: shownLinks.id })
  return rows.length > 0
}

/** What an address shows and whose it is; undefined where nobody has it, or its client was put away. */
export async function shownByHash(db: Database, tokenHash: string) {
  const [row] = await db
    .select({
      link: shownLinks,
      client: clients.name,
      archivedAt: clients.archivedAt,
      coach: {
        id: coaches.id,
        name: coaches.name,
        studio: coaches.studio,
        writing: coaches.writing,
      },
    })
    .from(shownLinks)
    .innerJoin(
      clients,
      and(eq(clients.coachId, shownLinks.coachId), eq(clients.id, shownLinks.clientId)),
    )
    .innerJoin(coaches, eq(coaches.id, shownLinks.coachId))
    .where(eq(shownLinks.tokenHash, tokenHash))
  return row && row.archivedAt === null ? row : undefined
}

export async function shownSeen(
  db: Database,
  { coachId, id }: { readonly coachId: CoachId; readonly id: string },
  seenAt: Date,
): Promise<void> {
  await db
    .update(shownLinks)
    .set({ seenAt })
    .where(and(eq(shownLinks.coachId, coachId), eq(shownLinks.id, id)))
}
