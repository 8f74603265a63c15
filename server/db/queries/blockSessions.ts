import { randomUUID } from 'node:crypto'
import type { BlockId, ClientId, CoachId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { and, asc, eq, gte, inArray, isNull, max, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { blockRevisions, blocks, datedSessions, loggedSets } from '../schema'
import { insertMessage } from './messages'
import { currentTime } from '../../clock'

/** Whose a block is, with its plan; undefined if there is none, or if it is another coach's. */
export async function openBlock(db: Database, coachId: CoachId, blockId: BlockId) {
  const [row] = await db
    .select({ clientId: blocks.clientId, version: blocks.version })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
    .limit(1)
  return row
}

/** Working sets of a session that were done. Counted session by session: whoever groups them all first reads the whole log. */
export const setsDoneIn = sql<number>`(select count(distinct (l.slot, l.exercise, l.set))::int from ${loggedSets} l where l.coach_id = dated_sessions.coach_id and l.session_id = dated_sessions.id and l.role = 'working')`

/** Sessions of a block that the client has, in the order of their passes. */
export function sentOf(db: Database, coachId: CoachId, blockId: BlockId) {
  return db
    .select({
      pass: datedSessions.pass,
      day: datedSessions.day,
      place: datedSessions.place,
      on: datedSessions.on,
      name: datedSessions.name,
      content: datedSessions.prescribed,
      isDone: sql<boolean>`${datedSessions.finishedAt} is not null`,
      isOpened: sql<boolean>`${datedSessions.openedAt} is not null`,
      setsDone: setsDoneIn,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.blockId, blockId),
        sql`${datedSessions.sentAt} is not null`,
      ),
    )
    .orderBy(asc(datedSessions.pass), asc(datedSessions.day), asc(datedSessions.place))
}

/** When anything was sent to each client last. */
export async function lastSent(
  db: Database,
  coachId: CoachId,
): Promise<ReadonlyMap<ClientId, Date>> {
  const rows = await db
    .select({ client: datedSessions.clientId, at: max(datedSessions.sentAt) })
    .from(datedSessions)
    .where(eq(datedSessions.coachId, coachId))
    .groupBy(datedSessions.clientId)
  return new Map(rows.flatMap(({ client, at }) => (at ? [[client, at] as const] : [])))
}

/** A session the client has not begun is prescribed otherwise; false where it was begun or is gone. */
export async function prescribeAnew(
  db: Database,
  coachId: CoachId,
  id: string,
  changed: Pick<SentRow, 'armSets' | 'setsPlanned' | 'prescribed' | 'sentAt'>,
): Promise<boolean> {
  const rows = await db
    .update(datedSessions)
    .set({ ...changed, openedAt: null })
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.id, id),
        isNull(datedSessions.startedAt),
        isNull(datedSessions.finishedAt),
      ),
    )
    .returning({ id: datedSessions.id })
  return rows.length > 0
}

/** How many rotations of each block of a client have been sent, counted to the last one that was. */
export async function sentPasses(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ id: datedSessions.blockId, passes: sql<number>`max(${datedSessions.pass}) + 1` })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        sql`${datedSessions.sentAt} is not null`,
      ),
    )
    .groupBy(datedSessions.blockId)
  return new Map(rows.map(({ id, passes }) => [id, passes]))
}

export type SentRow = Omit<
  typeof datedSessions.$inferInsert,
  'coachId' | 'clientId' | 'blockId' | 'pass'
>

/**
 * Puts the sessions of one pass down as sent, all or none.
 *
 * Edge: undefined where the block is at another version by now, `already` where the pass was sent before and is not to be replaced;
 *       what is done stays as it is.
 */
export async function sendPass(
  db: Database,
  {
    coachId,
    blockId,
    version,
    pass,
    rows,
    again,
    message,
  }: {
    coachId: CoachId
    blockId: BlockId
    version: number
    pass: number
    rows: readonly SentRow[]
    again: boolean
    message: string
  },
): Promise<'already' | undefined | { readonly sessions: number }> {
  return db.transaction(async tx => {
    const [block] = await tx
      .select({ clientId: blocks.clientId, version: blocks.version })
      .from(blocks)
      .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId)))
      .for('update')
    if (!block || block.version !== version) return undefined
    const own = and(
      eq(datedSessions.coachId, coachId),
      eq(datedSessions.blockId, blockId),
      eq(datedSessions.pass, pass),
    )
    const before = await tx
      .select({
        id: datedSessions.id,
        day: datedSessions.day,
        place: datedSessions.place,
        isKept: sql<boolean>`${datedSessions.finishedAt} is not null or exists (select 1 from ${loggedSets} l where l.coach_id = ${datedSessions.coachId} and l.session_id = ${datedSessions.id})`,
      })
      .from(datedSessions)
      .where(own)
    if (before.length > 0 && !again) return 'already'
    const rowsAt = new Map(rows.map(row => [`${row.day} ${row.place}`, row]))
    const open = before.filter(({ isKept }) => !isKept)
    // What the client has open keeps its id: a phone without reception may be logging it.
    const gone = open.filter(({ day, place }) => !rowsAt.has(`${day} ${place}`)).map(({ id }) => id)
    if (gone.length > 0)
      await tx.delete(datedSessions).where(and(own, inArray(datedSessions.id, gone)))
    for (const { id, day, place } of open) {
      const row = rowsAt.get(`${day} ${place}`)
      if (row)
        await tx
          .update(datedSessions)
          .set({
            ...row,
            id,
            openedAt: null,
            missedDecision: sql`case when ${datedSessions.on} = ${row.on} then ${datedSessions.missedDecision} end`,
          })
          .where(and(own, eq(datedSessions.id, id)))
    }
    const known = new Set(before.map(({ day, place }) => `${day} ${place}`))
    const kept = before.length - open.length
    const fresh = rows.filter(({ day, place }) => !known.has(`${day} ${place}`))
    if (fresh.length > 0)
      await tx
        .insert(datedSessions)
        .values(fresh.map(row => ({ ...row, coachId, clientId: block.clientId, blockId, pass })))
    await insertMessage(tx, {
      coachId,
      id: randomUUID(),
      clientId: block.clientId,
      kind: 'sent',
      text: message,
      writtenAt: currentTime(),
    })
    return { sessions: rows.length - kept }
  })
}

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** Where a next block is put: behind which one, at which version, and what is left of that one; null where it stays. */
export interface NextPlace {
  readonly coachId: CoachId
  readonly clientId: ClientId
  readonly blockId: BlockId
  readonly version: number
  readonly id: BlockId
  readonly plan: PlanDocument
  readonly cut: PlanDocument | null
}

/** Cuts a block for the one that follows; false if it is at another version by now. What the client has not begun of the rest is taken back. */
async function cutBlock(
  tx: Transaction,
  { coachId, blockId, version, plan }: NextPlace,
  cut: PlanDocument,
): Promise<boolean> {
  const [saved] = await tx
    .update(blocks)
    .set({ plan: cut, version: sql`${blocks.version} + 1`, savedAt: currentTime() })
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId), eq(blocks.version, version)))
    .returning({ version: blocks.version, savedAt: blocks.savedAt })
  if (!saved) return false
  await tx
    .insert(blockRevisions)
    .values({ coachId, blockId, ...saved, plan: cut, name: 'Cut for the next block' })
  await tx
    .delete(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.blockId, blockId),
        gte(datedSessions.on, plan.startsOn),
        isNull(datedSessions.startedAt),
        isNull(datedSessions.finishedAt),
      ),
    )
  return true
}

/** Puts the next block behind one; false if that is at another version by now. */
export async function beginNextBlock(db: Database, next: NextPlace): Promise<boolean> {
  const { coachId, clientId, blockId, version, id, plan, cut } = next
  return db.transaction(async tx => {
    const held = await tx
      .select({ version: blocks.version })
      .from(blocks)
      .where(and(eq(blocks.coachId, coachId), eq(blocks.id, blockId), eq(blocks.version, version)))
      .for('update')
    if (held.length === 0 || (cut && !(await cutBlock(tx, next, cut)))) return false
    await tx.insert(blocks).values({ coachId, id, clientId, version: 1, plan })
    await tx
      .insert(blockRevisions)
      .values({ coachId, blockId: id, version: 1, plan, name: 'Begun' })
    return true
  })
}
