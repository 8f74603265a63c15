import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import { type Profile, ProfileContract } from '#shared/contracts/profile'
import { and, eq, max, sql } from 'drizzle-orm'
import { factsDocument } from '../documents'
import type { Database } from '../database'
import { blockRevisions, blocks, clients } from '../schema'

interface StoredProfile {
  readonly coachId: CoachId
  readonly id: ClientId
  readonly profile: Profile
  readonly facts: ClientFacts
}

/** Columns that repeat what lists show, so that a list need not open every profile. */
function columnsOf({ profile, facts }: StoredProfile) {
  return { name: profile.name, about: profile.about, method: profile.method, profile, facts }
}

/** Writes a client, last in the list, with a first block; all or nothing. */
export async function insertClient(
  db: Database,
  client: StoredProfile & { readonly blockId: BlockId; readonly plan: PlanDocument },
): Promise<void> {
  const { coachId, id, blockId, plan } = client
  await db.transaction(async tx => {
    const [last] = await tx
      .select({ position: max(clients.position) })
      .from(clients)
      .where(eq(clients.coachId, coachId))
    await tx
      .insert(clients)
      .values({ coachId, id, position: (last?.position ?? -1) + 1, ...columnsOf(client) })
    await tx.insert(blocks).values({ coachId, id: blockId, clientId: id, version: 1, plan })
    await tx.insert(blockRevisions).values({ coachId, blockId, version: 1, plan })
  })
}

/** Profile and facts of a client; undefined if there is none, or if it is another coach's. */
export async function profileOf(db: Database, coachId: CoachId, id: ClientId) {
  const [row] = await db
    .select({ profile: clients.profile, facts: clients.facts, agreed: clients.agreedStarts })
    .from(clients)
    .where(and(eq(clients.coachId, coachId), eq(clients.id, id)))
    .limit(1)
  return (
    row && {
      profile: ProfileContract.parse(row.profile),
      facts: factsDocument(row.facts),
      agreed: row.agreed,
    }
  )
}

/** Writes a changed profile. */
export async function updateProfile(db: Database, client: StoredProfile): Promise<void> {
  await db
    .update(clients)
    .set({ ...columnsOf(client), revision: sql`${clients.revision} + 1` })
    .where(and(eq(clients.coachId, client.coachId), eq(clients.id, client.id)))
}
