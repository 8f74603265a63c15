import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import type { Session } from '#core/plan/session'
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { blocks, datedSessions, loggedSets } from '../schema'
import { renewExposures } from './sessionTrends'

/** Sessions of some days with how many sets each holds. */
export function sessionsOn(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  days: readonly PlainDate[],
) {
  const sets = sql<number>`(select count(*)::int from ${loggedSets} l where l.coach_id = ${datedSessions.coachId} and l.session_id = ${datedSessions.id})`
  return db
    .select({
      id: datedSessions.id,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      sets,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        inArray(datedSessions.on, [...days]),
      ),
    )
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}

/** The block sessions without a plan are kept with: the one of a day, else the first. */
export async function blockForLog(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  today: PlainDate,
): Promise<BlockId | undefined> {
  const [row] = await db
    .select({ id: blocks.id })
    .from(blocks)
    .where(and(eq(blocks.coachId, coachId), eq(blocks.clientId, clientId)))
    .orderBy(
      desc(sql`${blocks.startsOn} <= ${today}`),
      sql`case when ${blocks.startsOn} <= ${today} then ${blocks.startsOn} end desc nulls last`,
      sql`${blocks.startsOn}`,
    )
    .limit(1)
  return row?.id
}

/** A session to be filled in, or added where `prescribed` is given. */
export interface FilledSession {
  readonly id: string
  readonly on: PlainDate
  readonly name: string
  readonly added: {
    readonly blockId: BlockId
    readonly place: number
    readonly prescribed: Session
  } | null
  readonly sets: readonly Omit<
    typeof loggedSets.$inferInsert,
    'coachId' | 'clientId' | 'sessionId' | 'at'
  >[]
}

const NOT_OF_A_ROTATION = -1

/** Writes an imported log, all or nothing. */
export async function insertLog(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  sessions: readonly FilledSession[],
): Promise<void> {
  await db.transaction(async tx => {
    for (const { id, on, name, added, sets } of sessions) {
      const noon = new Date(`${on}T12:00:00Z`)
      if (added)
        await tx.insert(datedSessions).values({
          coachId,
          id,
          clientId,
          blockId: added.blockId,
          pass: NOT_OF_A_ROTATION,
          day: 0,
          place: added.place,
          on,
          name,
          armSets: 0,
          setsPlanned: 0,
          prescribed: added.prescribed,
          startedAt: noon,
          finishedAt: noon,
        })
      else
        await tx
          .update(datedSessions)
          .set({ startedAt: noon, finishedAt: noon })
          .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, id)))
      await tx
        .insert(loggedSets)
        .values(sets.map((set, at) => ({ ...set, coachId, clientId, sessionId: id, at })))
      await renewExposures(tx, coachId, id)
    }
  })
}
