import type { ClientId, CoachId } from '#core/base'
import { KEEP_ALL, type Retention } from '#shared/contracts/retention'
import { and, eq, isNotNull, lt, type SQL, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { blockRevisions, clients, coaches, mails, messages, rowChanges } from '../schema'

/** A moment so many calendar months ago; null where there is no such rule. */
const monthsAgo = (now: Date, months: number | null): SQL | null =>
  months === null
    ? null
    : sql`${now.toISOString()}::timestamptz - make_interval(months => ${months})`

/** A coach's rules and when they were last changed. */
export async function retentionOf(db: Database, coachId: CoachId) {
  const [row] = await db
    .select({ retention: coaches.retention, since: coaches.retentionSince })
    .from(coaches)
    .where(eq(coaches.id, coachId))
  return { retention: { ...KEEP_ALL, ...row?.retention }, since: row?.since ?? null }
}

export async function setRetention(
  db: Database,
  coachId: CoachId,
  retention: Retention,
  since: Date,
): Promise<void> {
  await db.update(coaches).set({ retention, retentionSince: since }).where(eq(coaches.id, coachId))
}

/** Coaches whose rules were last changed before a moment. */
export async function coachesWithRules(db: Database, before: Date): Promise<readonly CoachId[]> {
  const rows = await db
    .select({ id: coaches.id })
    .from(coaches)
    .where(and(isNotNull(coaches.retentionSince), lt(coaches.retentionSince, before)))
  return rows.map(({ id }) => id)
}

/** Clients who have been in the archive for longer than the rule says. */
export async function archivedTooLong(
  db: Database,
  coachId: CoachId,
  { archivedMonths }: Retention,
  now: Date,
): Promise<readonly { readonly id: ClientId; readonly name: string }[]> {
  const before = monthsAgo(now, archivedMonths)
  if (!before) return []
  return db
    .select({ id: clients.id, name: clients.name })
    .from(clients)
    .where(and(eq(clients.coachId, coachId), sql`${clients.archivedAt} < ${before}`))
    .orderBy(clients.name)
}

/** Messages older than the rule says. */
const oldMessages = (coachId: CoachId, before: SQL) =>
  and(eq(messages.coachId, coachId), sql`${messages.writtenAt} < ${before}`)

/** Versions without a name that so many later ones without one come after. */
const oldRevisions = (coachId: CoachId, kept: number) =>
  and(
    eq(blockRevisions.coachId, coachId),
    sql`(${blockRevisions.blockId}, ${blockRevisions.version}) in (
      select block_id, version from (
        select block_id, version, row_number() over (partition by block_id order by version desc) as place
        from block_revisions where coach_id = ${coachId} and name is null
      ) placed where place > ${kept})`,
  )

/** How many messages and versions the rules would erase. */
export async function dueCounts(
  db: Database,
  coachId: CoachId,
  { messageMonths, revisions }: Retention,
  now: Date,
): Promise<{ readonly messages: number; readonly revisions: number }> {
  const before = monthsAgo(now, messageMonths)
  return {
    messages: before ? await db.$count(messages, oldMessages(coachId, before)) : 0,
    revisions:
      revisions === null ? 0 : await db.$count(blockRevisions, oldRevisions(coachId, revisions)),
  }
}

export async function eraseOld(
  db: Database,
  coachId: CoachId,
  { messageMonths, revisions }: Retention,
  now: Date,
): Promise<void> {
  const before = monthsAgo(now, messageMonths)
  if (before) {
    await db.delete(messages).where(oldMessages(coachId, before))
    // How a mail went is kept as long as its message; nothing this old is sent any more.
    await db.delete(mails).where(and(eq(mails.coachId, coachId), sql`${mails.at} < ${before}`))
    // What was kept of them for taking changes back goes with them.
    await db
      .delete(rowChanges)
      .where(
        and(
          eq(rowChanges.coachId, coachId),
          eq(rowChanges.inTable, 'messages'),
          sql`(coalesce(${rowChanges.before}, ${rowChanges.after}) ->> 'written_at')::timestamptz < ${before}`,
        ),
      )
  }
  if (revisions !== null) await db.delete(blockRevisions).where(oldRevisions(coachId, revisions))
}

/** Runs work that one server does for all; false where another is at it. */
export async function alone(db: Database, work: (tx: Database) => Promise<void>): Promise<boolean> {
  return db.transaction(async tx => {
    const [row] = await tx.execute<{ mine: boolean }>(
      sql`select pg_try_advisory_xact_lock(hashtext('tholepin retention')) as mine`,
    )
    if (!row?.mine) return false
    await work(tx)
    return true
  })
}
