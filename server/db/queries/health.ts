import type { ClientId, CoachId, PlainDate } from '#core/base'
import { and, asc, desc, eq, gte, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { clearances, measurements, painReports } from '../schema'

const placed = {
  clientId: painReports.clientId,
  joint: painReports.joint,
  side: painReports.side,
  score: painReports.score,
  nextMorning: painReports.nextMorning,
  hasAlarmSign: painReports.hasAlarmSign,
  atHour: sql<number>`(extract(epoch from ${painReports.reportedAt}) / 3600)::float8`,
  on: sql<PlainDate>`to_char(${painReports.reportedAt} at time zone 'UTC', 'YYYY-MM-DD')`,
}

/** Pain reports of all of a coach's clients, the oldest first. A stop never ages away, so none is left out. */
export function allPainReports(db: Database, coachId: CoachId) {
  return db
    .select(placed)
    .from(painReports)
    .where(eq(painReports.coachId, coachId))
    .orderBy(asc(painReports.reportedAt))
}

/** Pain reports of one client, the oldest first. */
export function painReportsOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select(placed)
    .from(painReports)
    .where(and(eq(painReports.coachId, coachId), eq(painReports.clientId, clientId)))
    .orderBy(asc(painReports.reportedAt))
}

/** What hurts since an instant, of all of a coach's clients, the latest first. */
export function painsSince(db: Database, coachId: CoachId, since: Date) {
  return db
    .select({
      id: painReports.id,
      clientId: painReports.clientId,
      joint: painReports.joint,
      side: painReports.side,
      score: painReports.score,
      at: painReports.reportedAt,
    })
    .from(painReports)
    .where(and(eq(painReports.coachId, coachId), gte(painReports.reportedAt, since)))
    .orderBy(desc(painReports.reportedAt))
}

const cleared = {
  clientId: clearances.clientId,
  joint: clearances.joint,
  on: clearances.on,
  profession: clearances.profession,
  limits: clearances.limits,
  atHour: sql<number>`(extract(epoch from ${clearances.recordedAt}) / 3600)::float8`,
}

/** Clearances of all of a coach's clients. */
export function allClearances(db: Database, coachId: CoachId) {
  return db.select(cleared).from(clearances).where(eq(clearances.coachId, coachId))
}

/** Clearances of one client, the newest first. */
export function clearancesOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select(cleared)
    .from(clearances)
    .where(and(eq(clearances.coachId, coachId), eq(clearances.clientId, clientId)))
    .orderBy(desc(clearances.recordedAt))
}

/** Adds a report; false where one of its id is there already. */
export async function insertPainReport(
  db: Pick<Database, 'insert'>,
  report: typeof painReports.$inferInsert,
): Promise<boolean> {
  const added = await db
    .insert(painReports)
    .values(report)
    .onConflictDoNothing()
    .returning({ id: painReports.id })
  return added.length > 0
}

export async function insertClearance(
  db: Database,
  clearance: typeof clearances.$inferInsert,
): Promise<void> {
  await db.insert(clearances).values(clearance)
}

/** Measurements of a client, the newest first. */
export function measurementsOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select({
      id: measurements.id,
      on: measurements.on,
      kind: measurements.kind,
      value: measurements.value,
      isPumped: measurements.isPumped,
    })
    .from(measurements)
    .where(and(eq(measurements.coachId, coachId), eq(measurements.clientId, clientId)))
    .orderBy(desc(measurements.on), asc(measurements.kind))
}

export async function insertMeasurement(
  db: Database,
  measurement: typeof measurements.$inferInsert,
): Promise<void> {
  await db.insert(measurements).values(measurement)
}

/** Removes a measurement; false if the client has none by that id. */
export async function deleteMeasurement(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(measurements)
    .where(
      and(
        eq(measurements.coachId, coachId),
        eq(measurements.clientId, clientId),
        eq(measurements.id, id),
      ),
    )
    .returning({ id: measurements.id })
  return rows.length > 0
}
