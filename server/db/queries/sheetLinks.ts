import type { ClientId, CoachId } from '#core/base'
import { and, desc, eq, gt, inArray, isNull, or, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { clientLinks, clients, coaches, sheetDevices } from '../schema'

const isGood = (now: Date) =>
  and(
    isNull(clientLinks.revokedAt),
    or(isNull(clientLinks.expiresAt), gt(clientLinks.expiresAt, now)),
  )

/** Puts a new link in the place of any other the client has; phones that opened the other are shut out with it. */
export async function replaceLink(
  db: Database,
  link: typeof clientLinks.$inferInsert,
): Promise<void> {
  await db.transaction(async tx => {
    await revoke(tx, link.coachId, link.clientId, link.createdAt)
    await tx.insert(clientLinks).values(link)
  })
}

/** Withdraws a client's links. */
export async function revokeLinks(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  at: Date,
): Promise<void> {
  await revoke(db, coachId, clientId, at)
}

async function revoke(
  db: Pick<Database, 'update'>,
  coachId: CoachId,
  clientId: ClientId,
  at: Date,
): Promise<void> {
  await db
    .update(clientLinks)
    .set({ revokedAt: at })
    .where(
      and(
        eq(clientLinks.coachId, coachId),
        eq(clientLinks.clientId, clientId),
        isNull(clientLinks.revokedAt),
      ),
    )
}

/** The client's latest link with the phones that opened it. */
export async function linkOf(db: Database, coachId: CoachId, clientId: ClientId) {
  const phones = db
    .select({
      linkId: sheetDevices.linkId,
      phones: sql<number>`count(*)::int`.as('phones'),
      lastSeenAt: sql<string>`max(${sheetDevices.lastSeenAt})`.as('last_seen_at'),
    })
    .from(sheetDevices)
    .where(eq(sheetDevices.coachId, coachId))
    .groupBy(sheetDevices.linkId)
    .as('phones')
  const [row] = await db
    .select({
      createdAt: clientLinks.createdAt,
      expiresAt: clientLinks.expiresAt,
      revokedAt: clientLinks.revokedAt,
      pinHash: clientLinks.pinHash,
      phones: phones.phones,
      lastSeenAt: phones.lastSeenAt,
    })
    .from(clientLinks)
    .leftJoin(phones, eq(phones.linkId, clientLinks.id))
    .where(and(eq(clientLinks.coachId, coachId), eq(clientLinks.clientId, clientId)))
    .orderBy(desc(clientLinks.createdAt))
    .limit(1)
  return row
}

/** A link by the hash of its secret, with whether it is still good. */
export async function linkByHash(db: Database, tokenHash: string, now: Date) {
  const [row] = await db
    .select({
      coachId: clientLinks.coachId,
      id: clientLinks.id,
      pinHash: clientLinks.pinHash,
      isGood: sql<boolean>`coalesce(${isGood(now)}, false)`,
    })
    .from(clientLinks)
    .where(eq(clientLinks.tokenHash, tokenHash))
    .limit(1)
  return row
}

export async function insertDevice(
  db: Database,
  device: typeof sheetDevices.$inferInsert,
): Promise<void> {
  await db.insert(sheetDevices).values(device)
}

/** Whose phones keys belong to; unknown keys are left out. A link that is over says so. */
export function devicesByHash(db: Database, keyHashes: readonly string[], now: Date) {
  return db
    .select({
      keyHash: sheetDevices.keyHash,
      deviceId: sheetDevices.id,
      lastSeenAt: sheetDevices.lastSeenAt,
      clientId: clientLinks.clientId,
      isGood: sql<boolean>`coalesce(${isGood(now)}, false) and ${clients.archivedAt} is null`,
      coach: {
        id: coaches.id,
        name: coaches.name,
        studio: coaches.studio,
        writing: coaches.writing,
      },
    })
    .from(sheetDevices)
    .innerJoin(
      clientLinks,
      and(eq(clientLinks.coachId, sheetDevices.coachId), eq(clientLinks.id, sheetDevices.linkId)),
    )
    .innerJoin(
      clients,
      and(eq(clients.coachId, clientLinks.coachId), eq(clients.id, clientLinks.clientId)),
    )
    .innerJoin(coaches, eq(coaches.id, sheetDevices.coachId))
    .where(inArray(sheetDevices.keyHash, [...keyHashes]))
}

/** Notes that phones of one coach's clients were here. */
export async function touchDevices(
  db: Database,
  coachId: CoachId,
  ids: readonly string[],
  now: Date,
): Promise<void> {
  await db
    .update(sheetDevices)
    .set({ lastSeenAt: now })
    .where(and(eq(sheetDevices.coachId, coachId), inArray(sheetDevices.id, [...ids])))
}
