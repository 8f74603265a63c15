import { type ClientId, type CoachId, type ExerciseId, groupedBy, type PlainDate } from '#core/base'
import type { SessionTimes, TimedSession } from '#core/body/times'
import { and, asc, desc, eq, gte, inArray, isNotNull, lte, sql } from 'drizzle-orm'
import { among } from '../among'
import type { Database } from '../database'
import { datedSessions, exposures, logEntries, loggedSets } from '../schema'
import { ofSession } from './ofSession'

/** How clients set up their stations, as they said it, latest first. */
export async function setUpsOf(db: Database, coachId: CoachId, ids: readonly ClientId[]) {
  const rows = await db
    .select({
      clientId: logEntries.clientId,
      on: datedSessions.on,
      word: logEntries.word,
    })
    .from(logEntries)
    .innerJoin(datedSessions, ofSession(logEntries))
    .where(
      and(
        eq(logEntries.coachId, coachId),
        inArray(logEntries.clientId, [...ids]),
        eq(logEntries.outcome, 'taken'),
        sql`${logEntries.word}->>'kind' = 'set_up'`,
      ),
    )
    .orderBy(desc(datedSessions.on), desc(logEntries.seq))
  return rows.flatMap(({ word, ...row }) =>
    word.kind === 'set_up' ? [{ ...row, exercise: word.exercise, setUp: word.setUp }] : [],
  )
}

/** What was said of a client's sessions beside their sets since a day, in the order it was said. */
export async function saidSince(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
) {
  return db
    .select({
      session: logEntries.sessionId,
      name: datedSessions.name,
      on: datedSessions.on,
      id: logEntries.id,
      at: logEntries.at,
      word: logEntries.word,
    })
    .from(logEntries)
    .innerJoin(datedSessions, ofSession(logEntries))
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        eq(logEntries.outcome, 'taken'),
        gte(datedSessions.on, since),
        sql`${logEntries.word}->>'kind' in ('felt', 'finish')`,
      ),
    )
    .orderBy(asc(datedSessions.on), asc(logEntries.seq))
}

/** Exercises in a client's log since a day, and in how many sessions any was done. */
export async function doneSince(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
): Promise<{ readonly exercises: readonly string[]; readonly sessions: number }> {
  const rows = await db
    .select({
      exercise: loggedSets.exercise,
      sessions: sql<string[]>`array_agg(distinct ${loggedSets.sessionId})`,
    })
    .from(loggedSets)
    .innerJoin(datedSessions, ofSession(loggedSets))
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        eq(datedSessions.clientId, clientId),
        gte(datedSessions.on, since),
      ),
    )
    .groupBy(loggedSets.exercise)
    .orderBy(asc(loggedSets.exercise))
  return {
    exercises: rows.map(({ exercise }) => exercise),
    sessions: new Set(rows.flatMap(({ sessions }) => sessions)).size,
  }
}

/** Sessions that say something of a client's minutes; more than these are no surer. */
const MOST_TIMED = 24

/** Those of some clients since a day, numbered from the latest. */
const numberedTimes = (
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
  since: PlainDate,
) =>
  db
    .select({
      clientId: datedSessions.clientId,
      on: datedSessions.on,
      minutes: datedSessions.minutes,
      times: datedSessions.times,
      nth: sql<number>`row_number() over (partition by ${datedSessions.clientId} order by ${datedSessions.on} desc)`.as(
        'nth',
      ),
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        among(datedSessions.clientId, ids),
        gte(datedSessions.on, since),
        isNotNull(datedSessions.times),
      ),
    )
    .as('latest')

/** What the latest finished sessions since a day say of the minutes of some clients. */
export async function timedSessions(
  db: Database,
  coachId: CoachId,
  ids: readonly ClientId[],
  since: PlainDate,
): Promise<ReadonlyMap<ClientId, readonly TimedSession[]>> {
  if (ids.length === 0) return new Map()
  const latest = numberedTimes(db, coachId, ids, since)
  const rows = await db
    .select({ clientId: latest.clientId, minutes: latest.minutes, times: latest.times })
    .from(latest)
    .where(lte(latest.nth, MOST_TIMED))
    .orderBy(desc(latest.on))
  const timed = rows.flatMap(({ clientId, minutes, times }) =>
    times ? [{ clientId, session: { ...times, minutes } }] : [],
  )
  return new Map(
    [...groupedBy(timed, ({ clientId }) => clientId)].map(([id, own]) => [
      id,
      own.map(({ session }) => session),
    ]),
  )
}

/** Keeps what a finished session says of the client's minutes. */
export async function keepTimes(
  db: Database,
  coachId: CoachId,
  session: string,
  times: SessionTimes,
): Promise<void> {
  await db
    .update(datedSessions)
    .set({ times })
    .where(and(eq(datedSessions.coachId, coachId), eq(datedSessions.id, session)))
}

/** Exercises of a finished session that have a value, for what is reckoned about them afterwards. */
export function exercisesOf(db: Database, coachId: CoachId, session: string) {
  return db
    .select({ exercise: exposures.exercise })
    .from(exposures)
    .where(and(eq(exposures.coachId, coachId), eq(exposures.sessionId, session)))
}

/** Keeps how tired the muscle of an exercise came to a session. */
export async function keepTired(
  db: Database,
  coachId: CoachId,
  session: string,
  { exercise, tired }: { readonly exercise: ExerciseId; readonly tired: number | null },
): Promise<void> {
  await db
    .update(exposures)
    .set({ tired })
    .where(
      and(
        eq(exposures.coachId, coachId),
        eq(exposures.sessionId, session),
        eq(exposures.exercise, exercise),
      ),
    )
}
