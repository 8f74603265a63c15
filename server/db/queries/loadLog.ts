import type { ClientId, CoachId, ExerciseId, PlainDate } from '#core/base'
import { and, asc, desc, eq, gte, isNotNull, lte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { blocks, datedSessions, loggedSets, measurements } from '../schema'

const sessionsSince = (coachId: CoachId, clientId: ClientId, since: PlainDate) =>
  and(
    eq(datedSessions.coachId, coachId),
    eq(datedSessions.clientId, clientId),
    gte(datedSessions.on, since),
  )

/** Days of easier rotations and of events with light work, of the open block and of closed ones. */
export async function easyDays(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
): Promise<ReadonlySet<PlainDate>> {
  const rows = await db
    .selectDistinct({ on: datedSessions.on })
    .from(datedSessions)
    .innerJoin(
      blocks,
      and(eq(blocks.coachId, datedSessions.coachId), eq(blocks.id, datedSessions.blockId)),
    )
    .where(
      and(
        sessionsSince(coachId, clientId, since),
        sql`(${blocks.plan}->'block'->'deloads' @> to_jsonb(${datedSessions.pass})
          or exists (select from jsonb_array_elements(coalesce(${blocks.plan}->'block'->'events', '[]')) event
            where event->>'effect' = 'light'
              and ${datedSessions.on} between (event->>'from')::date and (event->>'to')::date))`,
      ),
    )
  return new Set(rows.map(({ on }) => on))
}

/** Sessions a client has closed since a day as they were prescribed, the latest first. */
export function closedSessions(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
) {
  return db
    .select({ on: datedSessions.on, prescribed: datedSessions.prescribed })
    .from(datedSessions)
    .where(and(sessionsSince(coachId, clientId, since), isNotNull(datedSessions.finishedAt)))
    .orderBy(desc(datedSessions.on), desc(datedSessions.place))
}

/** Sessions since a day in which something was held or set up otherwise for its turn, as they were prescribed. */
export function sessionsWithTurnsHeld(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  since: PlainDate,
) {
  return db
    .select({ id: datedSessions.id, prescribed: datedSessions.prescribed })
    .from(datedSessions)
    .where(
      and(
        sessionsSince(coachId, clientId, since),
        sql`${datedSessions.prescribed} @? '$.groupings[*].slots[*].as'`,
      ),
    )
}

/** The latest weigh-in up to a day; null where there is none. Units: kg. */
export async function weightOn(
  db: Pick<Database, 'select'>,
  coachId: CoachId,
  clientId: ClientId,
  on: PlainDate,
): Promise<number | null> {
  const [row] = await db
    .select({ value: measurements.value })
    .from(measurements)
    .where(
      and(
        eq(measurements.coachId, coachId),
        eq(measurements.clientId, clientId),
        eq(measurements.kind, 'body_weight'),
        lte(measurements.on, on),
      ),
    )
    .orderBy(desc(measurements.on))
    .limit(1)
  return row?.value ?? null
}

/** Sessions a client was sent since a day in which an exercise was prescribed or done, with what was prescribed. */
export function sessionsWith(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  exercise: ExerciseId,
  since: PlainDate,
) {
  const isPrescribed = sql`jsonb_path_exists(${datedSessions.prescribed}, '$.groupings[*].slots[*].exercise ? (@ == $id)', jsonb_build_object('id', ${exercise}::text))`
  const isDone = sql`exists (select from ${loggedSets} l where l.coach_id = ${datedSessions.coachId} and l.session_id = ${datedSessions.id} and l.exercise = ${exercise})`
  return db
    .select({
      id: datedSessions.id,
      on: datedSessions.on,
      name: datedSessions.name,
      prescribed: datedSessions.prescribed,
      isClosed: sql<boolean>`${datedSessions.finishedAt} is not null`,
    })
    .from(datedSessions)
    .where(
      and(
        sessionsSince(coachId, clientId, since),
        sql`${datedSessions.sentAt} is not null`,
        sql`(${isPrescribed} or ${isDone})`,
      ),
    )
    .orderBy(asc(datedSessions.on), asc(datedSessions.place))
}
