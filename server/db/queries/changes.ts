import type { BlockId, ClientId, CoachId } from '#core/base'
import type { ChangeKind } from '#core/words'
import { and, asc, desc, eq, isNull, lt, or, type SQL, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { blockRevisions, changes, rowChanges } from '../schema'

/** So many changes of a client, and of the studio, can be looked back on. */
const KEPT_CHANGES = 200

export interface NewChange {
  readonly coachId: CoachId
  readonly id: string
  readonly clientId: ClientId | null
  readonly kind: ChangeKind
  readonly by: string
  readonly at: Date
}

/** Whom changes are about: a client, the studio where it is null, or anyone. */
export type Subject = ClientId | null | 'anyone'

const ofSubject = (coachId: CoachId, subject: Subject) =>
  and(
    eq(changes.coachId, coachId),
    subject === 'anyone'
      ? undefined
      : subject === null
        ? isNull(changes.clientId)
        : eq(changes.clientId, subject),
  )

/** Opens a change: every row written from here on in this transaction belongs to it. */
export async function openChange(tx: Database, change: NewChange): Promise<void> {
  await tx.insert(changes).values(change)
  await tx.execute(sql`select set_config('tholepin.change', ${change.id}, true)`)
}

/** Ends what `openChange` began; false, and nothing kept, where no row was touched. */
export async function closeChange(tx: Database, change: NewChange): Promise<boolean> {
  await tx.execute(sql`select set_config('tholepin.change', '', true)`)
  const [touched] = await tx
    .select({ seq: rowChanges.seq })
    .from(rowChanges)
    .where(and(eq(rowChanges.coachId, change.coachId), eq(rowChanges.changeId, change.id)))
    .limit(1)
  if (!touched) await dropChange(tx, change.coachId, change.id)
  return touched !== undefined
}

export async function dropChange(tx: Database, coachId: CoachId, id: string): Promise<void> {
  await tx.delete(changes).where(and(eq(changes.coachId, coachId), eq(changes.id, id)))
}

/** Says what exactly the change is that is being made; nothing where none is. */
export async function tellChange(tx: Database, coachId: CoachId, why: string): Promise<void> {
  await tx
    .update(changes)
    .set({ why })
    .where(
      and(
        eq(changes.coachId, coachId),
        sql`${changes.id}::text = current_setting('tholepin.change', true)`,
      ),
    )
}

/** What was taken back before a new change can no longer be done again; what is older than all that is kept goes. */
export async function settleOlder(tx: Database, change: NewChange): Promise<void> {
  const own = ofSubject(change.coachId, change.clientId)
  await tx
    .update(changes)
    .set({ isPast: true })
    .where(and(own, sql`${changes.undoneAt} is not null and not ${changes.isPast}`))
  const [oldest] = await tx
    .select({ seq: changes.seq })
    .from(changes)
    .where(own)
    .orderBy(desc(changes.seq))
    .offset(KEPT_CHANGES)
    .limit(1)
  if (oldest) await tx.delete(changes).where(and(own, lt(changes.seq, oldest.seq + 1)))
}

/** Images of rows that are a client's. */
function rowsOfClient(coachId: CoachId, clientId: ClientId) {
  const isHers = (image: typeof rowChanges.before | typeof rowChanges.after) =>
    sql`(${image} ->> 'client_id' = ${clientId} or (${rowChanges.inTable} = 'clients' and ${image} ->> 'id' = ${clientId}))`
  return and(
    eq(rowChanges.coachId, coachId),
    or(isHers(rowChanges.before), isHers(rowChanges.after)),
  )
}
/** What was done for several at once, and touched something of this client's. */
const touching = (coachId: CoachId, clientId: ClientId) =>
  and(
    eq(changes.coachId, coachId),
    isNull(changes.clientId),
    sql`exists (select 1 from ${rowChanges} where ${rowChanges.changeId} = ${changes.id} and ${rowsOfClient(coachId, clientId)})`,
  )

/** What was done for several keeps nothing of a client who is erased: neither her rows nor her name. */
export async function forgetClient(db: Database, coachId: CoachId, id: ClientId): Promise<void> {
  await db.update(changes).set({ why: '' }).where(touching(coachId, id))
  await db.delete(rowChanges).where(rowsOfClient(coachId, id))
}

/** Changes of a client, of the studio or of all, newest first; of a client also those for several she is one of. */
export function changesAbout(db: Database, coachId: CoachId, subject: Subject) {
  const isOf =
    subject === null || subject === 'anyone'
      ? ofSubject(coachId, subject)
      : and(
          eq(changes.coachId, coachId),
          or(eq(changes.clientId, subject), touching(coachId, subject)),
        )
  return listed(db, isOf, KEPT_CHANGES)
}

/** Changes of a client, of the studio or of all, newest first. */
export function changesOf(
  db: Database,
  coachId: CoachId,
  subject: Subject,
  most: number = KEPT_CHANGES,
) {
  return listed(db, ofSubject(coachId, subject), most)
}

function listed(db: Database, isOf: SQL | undefined, most: number) {
  return db
    .select({
      id: changes.id,
      clientId: changes.clientId,
      seq: changes.seq,
      kind: changes.kind,
      why: changes.why,
      by: changes.by,
      at: changes.at,
      undoneAt: changes.undoneAt,
      isPast: changes.isPast,
    })
    .from(changes)
    .where(isOf)
    .orderBy(desc(changes.seq))
    .limit(most)
}

/** Whom a change is about; undefined if there is none, or if it is another coach's. */
export async function changeOf(tx: Database, coachId: CoachId, id: string) {
  const [row] = await tx
    .select({ clientId: changes.clientId, kind: changes.kind })
    .from(changes)
    .where(and(eq(changes.coachId, coachId), eq(changes.id, id)))
    .for('update')
  return row
}

/** Rows a change touched, in the order they were written. */
export function rowsOfChange(db: Database, coachId: CoachId, id: string) {
  return db
    .select({
      inTable: rowChanges.inTable,
      before: rowChanges.before,
      after: rowChanges.after,
    })
    .from(rowChanges)
    .where(and(eq(rowChanges.coachId, coachId), eq(rowChanges.changeId, id)))
    .orderBy(asc(rowChanges.seq))
}

export async function markChange(
  tx: Database,
  coachId: CoachId,
  id: string,
  undoneAt: Date | null,
): Promise<void> {
  await tx
    .update(changes)
    .set({ undoneAt })
    .where(and(eq(changes.coachId, coachId), eq(changes.id, id)))
}

/** Earlier versions of a block whose plan is the one of `version`, newest first. */
export async function versionsLike(
  tx: Database,
  coachId: CoachId,
  blockId: BlockId,
  version: number,
  among: readonly number[],
): Promise<readonly number[]> {
  if (among.length === 0) return []
  const rows = await tx
    .select({ version: blockRevisions.version })
    .from(blockRevisions)
    .where(
      and(
        eq(blockRevisions.coachId, coachId),
        eq(blockRevisions.blockId, blockId),
        sql`${blockRevisions.version} in ${among}`,
        sql`${blockRevisions.plan} = (select plan from block_revisions r where r.coach_id = ${coachId} and r.block_id = ${blockId} and r.version = ${version})`,
      ),
    )
    .orderBy(desc(blockRevisions.version))
  return rows.map(row => row.version)
}
