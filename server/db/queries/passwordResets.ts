import type { CoachId } from '#core/base'
import { and, eq, gt } from 'drizzle-orm'
import type { Database } from '../database'
import { passwordResets } from '../schema'

/** Keeps a way back in; an earlier one of the same coach is over. */
export async function keepReset(
  db: Database,
  reset: { readonly coachId: CoachId; readonly tokenHash: string; readonly expiresAt: Date },
): Promise<void> {
  const { tokenHash, expiresAt } = reset
  await db
    .insert(passwordResets)
    .values(reset)
    .onConflictDoUpdate({ target: passwordResets.coachId, set: { tokenHash, expiresAt } })
}

/** Uses a way back in up, and says whose it was; of two at once one finds it. */
export async function takeReset(
  db: Database,
  tokenHash: string,
  now: Date,
): Promise<CoachId | undefined> {
  const [row] = await db
    .delete(passwordResets)
    .where(and(eq(passwordResets.tokenHash, tokenHash), gt(passwordResets.expiresAt, now)))
    .returning({ coachId: passwordResets.coachId })
  return row?.coachId
}
