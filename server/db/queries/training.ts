import type { BlockId, ClientId, CoachId, ExerciseId, PlainDate } from '#core/base'
import { type SessionFacts, type SessionState, sessionState } from '#core/body/log'
import { and, asc, desc, eq, gte, inArray, isNotNull, lte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, exposures, loggedSets } from '../schema'
import { ofSession } from './ofSession'
import { setUpsOf } from './clientLog'
import { setsDoneIn } from './blockSessions'
import { sessionFactColumns } from './sessionFacts'

/** A dated session as lists of clients need it. */
export interface SessionLine {
  readonly id: string
  readonly blockId: BlockId
  readonly pass: number
  readonly day: number
  readonly place: number
  readonly on: PlainDate
  readonly name: string
  readonly armSets: number
  readonly sentOn: PlainDate | null
  readonly isOpened: boolean
  readonly state: SessionState
}

/** Dated sessions of some clients around a day, by client and in the order of their days; one row per client, with its sessions as JSON. */
export async function sessionsAround(
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
  {
    from,
    to,
    today,
  }: { readonly from: PlainDate; readonly to: PlainDate; readonly today: PlainDate },
): Promise<ReadonlyMap<ClientId, readonly SessionLine[]>> {
  if (ids.length === 0) return new Map()
  const at = datedSessions
  const facts = sessionFactColumns
  const line = sql`json_build_object('id', ${at.id}, 'blockId', ${at.blockId}, 'pass', ${at.pass}, 'day', ${at.day}, 'place', ${at.place}, 'on', ${at.on}, 'name', ${at.name}, 'armSets', ${at.armSets},
    'sentOn', (${at.sentAt} at time zone 'UTC')::date, 'isSent', ${facts.isSent}, 'isOpened', ${facts.isOpened}, 'hasSets', ${facts.hasSets}, 'isFinished', ${facts.isFinished}, 'isDecided', ${facts.isDecided})`
  const rows = await db
    .select({
      clientId: at.clientId,
      sessions: sql<
        readonly (Omit<SessionLine, 'state'> & SessionFacts)[]
      >`json_agg(${line} order by ${at.on}, ${at.place})`,
    })
    .from(at)
    .where(
      and(
        eq(at.coachId, coachId),
        inArray(at.clientId, [...ids]),
        gte(at.on, from),
        lte(at.on, to),
      ),
    )
    .groupBy(at.clientId)
  return new Map(
    rows.map(({ clientId, sessions }) => [
      clientId,
      sessions.map(session => ({ ...session, state: sessionState(session, today) })),
    ]),
  )
}

/** Exposures since a day, of some clients, in the order of their days, with the set-up that was said on the day. */
export async function exposuresOf(
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
  since: PlainDate,
) {
  if (ids.length === 0) return []
  const values = db
    .select({
      clientId: exposures.clientId,
      exercise: exposures.exercise,
      on: exposures.on,
      value: exposures.value,
      repsToFailure: exposures.repsToFailure,
      sets: exposures.sets,
      tired: exposures.tired,
      heldAs: exposures.heldAs,
    })
    .from(exposures)
    .where(
      and(
        eq(exposures.coachId, coachId),
        inArray(exposures.clientId, [...ids]),
        gte(exposures.on, since),
      ),
    )
    .orderBy(asc(exposures.on), asc(exposures.exercise))
  const [rows, said] = await Promise.all([values, setUpsOf(db, coachId, ids)])
  const place = (row: { clientId: ClientId; exercise: ExerciseId; on: PlainDate }) =>
    `${row.clientId} ${row.exercise} ${row.on}`
  // The latest word of a day comes first, so it is set last.
  const setUps = new Map(said.toReversed().map(row => [place(row), row.setUp]))
  return rows.map(row => ({ ...row, setUp: setUps.get(place(row)) }))
}

/** Sessions of one client with how many working sets were done, the newest first. */
export function sessionsOf(db: Database, coachId: CoachId, clientId: ClientId, from: PlainDate) {
  return db
    .select({
      id: datedSessions.id,
      name: datedSessions.name,
      armSets: datedSessions.armSets,
      setsPlanned: datedSessions.setsPlanned,
      minutes: datedSessions.minutes,
      isRecovered: datedSessions.isRecovered,
      note: datedSessions.note,
      setsDone: setsDoneIn,
      ...sessionFactColumns,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, from),
      ),
    )
    .orderBy(desc(datedSessions.on), desc(datedSessions.place))
}

/** Keeps what the coach decided about a missed session; false if the client has no such session, or it was done. */
export async function decideMissed(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  id: string,
  decision: string,
): Promise<boolean> {
  const rows = await db
    .update(datedSessions)
    .set({ missedDecision: decision })
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        eq(datedSessions.id, id),
        sql`${datedSessions.finishedAt} is null`,
      ),
    )
    .returning({ id: datedSessions.id })
  return rows.length > 0
}

/** What a client trained since a day, as it was prescribed. */
export function trainedSince(db: Database, coachId: CoachId, clientId: ClientId, from: PlainDate) {
  return db
    .select({
      id: datedSessions.id,
      on: datedSessions.on,
      place: datedSessions.place,
      prescribed: datedSessions.prescribed,
      isRecovered: datedSessions.isRecovered,
      recovery: datedSessions.recovery,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, from),
        isNotNull(datedSessions.finishedAt),
      ),
    )
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}

/** The last day each exercise was done on, whether or not its sets say anything about strength. */
export function lastDone(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select({ exercise: loggedSets.exercise, on: sql<PlainDate>`max(${datedSessions.on})` })
    .from(loggedSets)
    .innerJoin(datedSessions, ofSession(loggedSets))
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        eq(loggedSets.role, 'working'),
      ),
    )
    .groupBy(loggedSets.exercise)
}
