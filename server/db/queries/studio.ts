import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/block'
import type { ClientFacts } from '#core/method'
import type { Profile } from '#shared/contracts/profile'
import { count, eq } from 'drizzle-orm'
import type { Database } from '../database'
import { blockRevisions, blocks, clients, coaches } from '../schema'

export interface NewClient { readonly id: ClientId, readonly name: string, readonly about: string, readonly facts: ClientFacts, readonly method: string, readonly profile: Profile, readonly blockId: BlockId, readonly plan: PlanDocument }
export interface NewCoach { readonly id: CoachId, readonly email: string, readonly name: string, readonly studio: string, readonly passwordHash: string }

/** Writes a coach with clients and their first plans, all or nothing. */
export async function insertStudio(db: Database, coach: NewCoach, newClients: readonly NewClient[]): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.insert(coaches).values(coach)
    for (const [position, { blockId, plan, ...client }] of newClients.entries()) {
      await tx.insert(clients).values({ coachId: coach.id, position, ...client })
      await tx.insert(blocks).values({ coachId: coach.id, id: blockId, clientId: client.id, version: 1, plan })
      await tx.insert(blockRevisions).values({ coachId: coach.id, blockId, version: 1, plan })
    }
  })
}

/** Number of coaches, to tell an empty database. */
export async function coachCount(db: Database): Promise<number> {
  const [row] = await db.select({ coaches: count() }).from(coaches)
  return row?.coaches ?? 0
}

/** Removes a coach with everything that is hers. */
export async function deleteCoach(db: Database, email: string): Promise<void> {
  await db.delete(coaches).where(eq(coaches.email, email))
}

/** Gives a coach another password. */
export async function setPasswordHash(db: Database, email: string, passwordHash: string): Promise<void> {
  await db.update(coaches).set({ passwordHash }).where(eq(coaches.email, email))
}
