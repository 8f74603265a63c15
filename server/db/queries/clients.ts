import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import { type PlanDocument, factsInBlock } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import { and, asc, eq, inArray, isNotNull, isNull, sql, type SQLWrapper } from 'drizzle-orm'
import { factsDocument, planDocument } from '../documents'
import { among } from '../among'
import type { Database } from '../database'
import { currentTime } from '../../clock'
import { blockRevisions, blocks, clients, datedSessions } from '../schema'
import { forgetClient } from './changes'

/** The block a client is in on a day: the one begun last, else the first that lies ahead. */
const currentId = (coachId: SQLWrapper | CoachId, id: SQLWrapper | ClientId, today: PlainDate) =>
  sql`(select b.id from ${blocks} b where b.coach_id = ${coachId} and b.client_id = ${id}
    order by b.starts_on <= ${today} desc,
      case when b.starts_on <= ${today} then b.starts_on end desc nulls last,
      b.starts_on, b.saved_at desc limit 1)`
const inBlock = (today: PlainDate) =>
  and(
    eq(blocks.coachId, clients.coachId),
    eq(blocks.clientId, clients.id),
    eq(blocks.id, currentId(sql`${clients.coachId}`, sql`${clients.id}`, today)),
  )
/** One of a client's blocks, whichever it is. */
const thisBlock = (id: BlockId) =>
  and(eq(blocks.coachId, clients.coachId), eq(blocks.clientId, clients.id), eq(blocks.id, id))
const ofClient = (coachId: CoachId, id: ClientId) =>
  and(eq(clients.coachId, coachId), eq(clients.id, id))

/** One client of a coach with the block of a day, or a certain one; undefined if there is none, or if it is another coach's. */
export async function clientOf(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  of: { readonly today: PlainDate; readonly block?: BlockId | undefined },
) {
  const [row] = await db
    .select({
      id: clients.id,
      name: clients.name,
      about: clients.about,
      method: clients.method,
      facts: clients.facts,
      block: { id: blocks.id, version: blocks.version, savedAt: blocks.savedAt, plan: blocks.plan },
    })
    .from(clients)
    .leftJoin(blocks, of.block ? thisBlock(of.block) : inBlock(of.today))
    .where(ofClient(coachId, clientId))
    .limit(1)
  return (
    row && {
      ...row,
      facts: factsDocument(row.facts),
      block: row.block && { ...row.block, plan: planDocument(row.block.plan) },
    }
  )
}

/** The lines of a roster without what is computed: who, marks, and the versions that tell whether something known is still right. */
export function rosterLines(db: Database, coachId: CoachId, today: PlainDate) {
  return db
    .select({
      id: clients.id,
      name: clients.name,
      about: clients.about,
      method: clients.method,
      revision: clients.revision,
      trainingRevision: clients.trainingRevision,
      isFlagged: clients.isFlagged,
      laterUntil: clients.laterUntil,
      /** Usual starts by weekday, `1=17:30,3=06:30`. */
      starts: sql<string>`(select coalesce(string_agg((entry->>'weekday') || '=' || (entry->>'start'), ','), '') from jsonb_array_elements(${clients.profile}->'days') as entry)`,
      agreed: clients.agreedStarts,
      seen: clients.seen,
      blockId: blocks.id,
      version: blocks.version,
      /** The block that waits behind it, and whether any of it was sent. */
      next: sql<{
        readonly id: BlockId
        readonly startsOn: PlainDate
        readonly isSent: boolean
      } | null>`(select json_build_object('id', n.id, 'startsOn', n.starts_on, 'isSent',
          exists (select 1 from ${datedSessions} d where d.coach_id = n.coach_id and d.block_id = n.id and d.sent_at is not null))
        from ${blocks} n where n.coach_id = ${clients.coachId} and n.client_id = ${clients.id}
          and n.starts_on > ${blocks.startsOn} order by n.starts_on limit 1)`,
    })
    .from(clients)
    .leftJoin(blocks, inBlock(today))
    .where(and(eq(clients.coachId, coachId), isNull(clients.archivedAt)))
    .orderBy(asc(clients.position), asc(clients.name))
}

/** Plans and facts of the blocks some clients are in. */
export async function plansOf(
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
  today: PlainDate,
) {
  if (ids.length === 0) return []
  const rows = await db
    .select({ id: clients.id, facts: clients.facts, plan: blocks.plan })
    .from(clients)
    .innerJoin(blocks, inBlock(today))
    .where(and(eq(clients.coachId, coachId), inArray(clients.id, [...ids])))
  return rows.map(({ id, ...row }) => {
    const plan = planDocument(row.plan)
    return { id, plan, facts: factsInBlock(factsDocument(row.facts), plan) }
  })
}

/** Every client who is not archived with method, facts and the plan being made: what a change for all of them is reckoned on. */
export async function plannedClients(db: Database, coachId: CoachId, today: PlainDate) {
  const rows = await db
    .select({
      id: clients.id,
      name: clients.name,
      method: clients.method,
      facts: clients.facts,
      plan: blocks.plan,
    })
    .from(clients)
    .leftJoin(blocks, inBlock(today))
    .where(and(eq(clients.coachId, coachId), isNull(clients.archivedAt)))
    .orderBy(asc(clients.position))
  return rows.map(({ facts, plan: written, ...client }) => {
    const plan = written && planDocument(written)
    const own = factsDocument(facts)
    return { ...client, plan, facts: plan ? factsInBlock(own, plan) : own }
  })
}

/** Every client who is not archived, with the credits that are changed for that one. */
export async function clientCredits(db: Database, coachId: CoachId) {
  const rows = await db
    .select({ id: clients.id, name: clients.name, facts: clients.facts })
    .from(clients)
    .where(and(eq(clients.coachId, coachId), isNull(clients.archivedAt)))
    .orderBy(asc(clients.position))
  return rows.map(({ id, name, facts }) => ({ id, name, credits: factsDocument(facts).credits }))
}

/** The open block's id and every client's name by the method followed. */
export function followers(db: Database, coachId: CoachId) {
  return db
    .select({ id: clients.id, name: clients.name, method: clients.method })
    .from(clients)
    .where(eq(clients.coachId, coachId))
    .orderBy(asc(clients.position))
}

/** Facts of a client, locked until the transaction ends, so that two changes do not lose each other. */
export async function lockedFacts(db: Database, coachId: CoachId, id: ClientId) {
  const [row] = await db
    .select({ facts: clients.facts, profile: clients.profile })
    .from(clients)
    .where(ofClient(coachId, id))
    .for('update')
  return row && { facts: factsDocument(row.facts), profile: row.profile }
}

/** Writes changed facts (and, where they share something, the profile). */
export async function updateFacts(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  changed: { readonly facts: ClientFacts; readonly profile?: typeof clients.$inferInsert.profile },
): Promise<void> {
  await db
    .update(clients)
    .set({ ...changed, revision: sql`${clients.revision} + 1` })
    .where(ofClient(coachId, id))
}

/** The emphasis of the block a client is in; empty where it has none. */
export async function emphasisOf(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  today: PlainDate,
): Promise<NonNullable<PlanDocument['emphasis']>> {
  const [row] = await db
    .select({ plan: blocks.plan })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.id, currentId(coachId, id, today))))
  return (row && planDocument(row.plan).emphasis) ?? {}
}

/** What the client's profile says comes first holds from now on: the block of today has no emphasis of its own any more. */
export async function dropEmphasis(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  today: PlainDate,
): Promise<void> {
  const saved = await db
    .update(blocks)
    .set({
      plan: sql`${blocks.plan} - 'emphasis'`,
      version: sql`${blocks.version} + 1`,
      savedAt: currentTime(),
    })
    .where(
      and(
        eq(blocks.coachId, coachId),
        sql`${blocks.plan} ? 'emphasis'`,
        eq(blocks.id, currentId(coachId, id, today)),
      ),
    )
    .returning({
      coachId: blocks.coachId,
      blockId: blocks.id,
      version: blocks.version,
      plan: blocks.plan,
      savedAt: blocks.savedAt,
    })
  if (saved.length > 0) await db.insert(blockRevisions).values(saved)
}

/** Says that what is known of a client changed. */
export async function bumpRevision(db: Database, coachId: CoachId, id: ClientId): Promise<void> {
  await db
    .update(clients)
    .set({ revision: sql`${clients.revision} + 1` })
    .where(ofClient(coachId, id))
}

/** Sets the coach's marks; false if there is no such client of hers. */
export async function updateMarks(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  marks: { readonly isFlagged: boolean; readonly laterUntil: PlainDate | null },
): Promise<boolean> {
  const rows = await db
    .update(clients)
    .set(marks)
    .where(ofClient(coachId, id))
    .returning({ id: clients.id })
  return rows.length > 0
}

/** Puts a client away, or takes her back; false if there is no such client. */
export async function setArchived(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  at: Date | null,
): Promise<boolean> {
  const rows = await db
    .update(clients)
    .set({ archivedAt: at })
    .where(ofClient(coachId, id))
    .returning({ id: clients.id })
  return rows.length > 0
}

/** Every client of a coach, archived ones too. */
export async function allClientIds(db: Database, coachId: CoachId): Promise<ClientId[]> {
  const rows = await db
    .select({ id: clients.id })
    .from(clients)
    .where(eq(clients.coachId, coachId))
    .orderBy(asc(clients.position))
  return rows.map(({ id }) => id)
}

/** Clients that are put away, the last one first. */
export async function archivedClients(db: Database, coachId: CoachId) {
  const rows = await db
    .select({
      id: clients.id,
      name: clients.name,
      about: clients.about,
      archivedAt: clients.archivedAt,
    })
    .from(clients)
    .where(and(eq(clients.coachId, coachId), isNotNull(clients.archivedAt)))
    .orderBy(sql`${clients.archivedAt} desc`)
  return rows.flatMap(({ archivedAt, ...client }) =>
    archivedAt ? [{ ...client, archivedAt }] : [],
  )
}

/** How many clients are put away. */
export function archivedCount(db: Database, coachId: CoachId): Promise<number> {
  return db.$count(clients, and(eq(clients.coachId, coachId), isNotNull(clients.archivedAt)))
}

/** Name and archive date of a client. */
export async function clientName(db: Database, coachId: CoachId, id: ClientId) {
  const [row] = await db
    .select({ name: clients.name, archivedAt: clients.archivedAt })
    .from(clients)
    .where(ofClient(coachId, id))
    .limit(1)
  return row
}

/** Keeps what of a client was looked at; false if there is no such client. */
export async function keepSeen(
  db: Database,
  coachId: CoachId,
  id: ClientId,
  seen: NonNullable<typeof clients.$inferSelect.seen>,
): Promise<boolean> {
  const rows = await db
    .update(clients)
    .set({ seen })
    .where(ofClient(coachId, id))
    .returning({ id: clients.id })
  return rows.length > 0
}

/** Names of some clients. */
export async function clientNames(
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
): Promise<ReadonlyMap<ClientId, string>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({ id: clients.id, name: clients.name })
    .from(clients)
    .where(and(eq(clients.coachId, coachId), among(clients.id, ids)))
  return new Map(rows.map(({ id, name }) => [id, name]))
}

/** Erases a client with everything that is hers. */
export async function deleteClient(db: Database, coachId: CoachId, id: ClientId): Promise<void> {
  await forgetClient(db, coachId, id)
  await db.delete(clients).where(ofClient(coachId, id))
}

/** Coach and client of a block, to know whose library its plan may name. */
export async function blockExists(db: Database, coachId: CoachId, id: BlockId): Promise<boolean> {
  return (await db.$count(blocks, and(eq(blocks.coachId, coachId), eq(blocks.id, id)))) > 0
}
