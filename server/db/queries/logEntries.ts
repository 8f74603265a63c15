import type { ClientId, CoachId, PlainDate } from '#core/base'
import { and, asc, eq, gte, inArray, lte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { datedSessions, logEntries, loggedSets } from '../schema'
import { ofSession } from './ofSession'

/** Entries of some sessions, in the order they came, with who said them. */
export function entriesOf(db: Database, coachId: CoachId, sessions: readonly string[]) {
  if (sessions.length === 0) return Promise.resolve([])
  return db
    .select({
      id: logEntries.id,
      session: logEntries.sessionId,
      at: logEntries.at,
      word: logEntries.word,
      author: logEntries.author,
      outcome: logEntries.outcome,
      clockOffSeconds: logEntries.clockOffSeconds,
    })
    .from(logEntries)
    .where(and(eq(logEntries.coachId, coachId), inArray(logEntries.sessionId, [...sessions])))
    .orderBy(asc(logEntries.seq))
}

/** Sessions a client has been sent, around a day. */
export function sentAround(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  { from, to }: { readonly from: PlainDate; readonly to: PlainDate },
) {
  return db
    .select({
      id: datedSessions.id,
      blockId: datedSessions.blockId,
      pass: datedSessions.pass,
      day: datedSessions.day,
      place: datedSessions.place,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      finishedAt: datedSessions.finishedAt,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, from),
        lte(datedSessions.on, to),
        sql`${datedSessions.sentAt} is not null`,
      ),
    )
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}

/** A logged set as the core has it, with the unit it was said in. */
const setColumns = {
  slot: loggedSets.slot,
  exercise: loggedSets.exercise,
  intent: loggedSets.intent,
  set: loggedSets.set,
  stage: loggedSets.stage,
  side: loggedSets.side,
  role: loggedSets.role,
  loadKg: loggedSets.loadKg,
  reps: loggedSets.reps,
  seconds: loggedSets.seconds,
  rir: loggedSets.rir,
  isRirOpen: loggedSets.isRirOpen,
  lapses: loggedSets.lapses,
  unit: loggedSets.unit,
}

/** Sets of a client since a day with the days they were done on, in the order done. */
export function setsSince(db: Database, coachId: CoachId, clientId: ClientId, since: PlainDate) {
  return db
    .select({ on: datedSessions.on, sessionId: loggedSets.sessionId, ...setColumns })
    .from(loggedSets)
    .innerJoin(datedSessions, ofSession(loggedSets))
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, since),
      ),
    )
    .orderBy(asc(datedSessions.on), asc(loggedSets.set), asc(loggedSets.stage), asc(loggedSets.at))
}

/** One dated session of a client, sent or not. */
export async function sessionById(db: Database, coachId: CoachId, clientId: ClientId, id: string) {
  const [row] = await db
    .select({
      id: datedSessions.id,
      blockId: datedSessions.blockId,
      pass: datedSessions.pass,
      day: datedSessions.day,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      finishedAt: datedSessions.finishedAt,
      minutes: datedSessions.minutes,
      isRecovered: datedSessions.isRecovered,
      recovery: datedSessions.recovery,
      note: datedSessions.note,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        eq(datedSessions.id, id),
      ),
    )
  return row
}

/** Everything logged of one session, in the order done. */
export function setsOfSession(db: Database, coachId: CoachId, session: string) {
  return db
    .select()
    .from(loggedSets)
    .where(and(eq(loggedSets.coachId, coachId), eq(loggedSets.sessionId, session)))
    .orderBy(asc(loggedSets.at))
}

/** Entries kept aside, by session. */
export async function asideCounts(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ session: logEntries.sessionId, count: sql<number>`count(*)::int` })
    .from(logEntries)
    .where(
      and(
        eq(logEntries.coachId, coachId),
        eq(logEntries.clientId, clientId),
        sql`${logEntries.outcome} <> 'taken'`,
      ),
    )
    .groupBy(logEntries.sessionId)
  return new Map(rows.map(({ session, count }) => [session, count]))
}

/** Every set of a client with its day and session, in the order done. */
export function wholeLog(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select({ on: datedSessions.on, session: datedSessions.name, ...setColumns })
    .from(loggedSets)
    .innerJoin(datedSessions, ofSession(loggedSets))
    .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.clientId, clientId)))
    .orderBy(asc(datedSessions.on), asc(datedSessions.place), asc(loggedSets.at))
}
