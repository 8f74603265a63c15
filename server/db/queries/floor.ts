import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import type { House, Stations } from '#core/follow/floor'
import { and, eq, isNotNull, or, sql } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, coaches, datedSessions } from '../schema'
import { among } from '../among'

/** What the studio's floor has, and when it is open. */
export async function floorOf(
  db: Database,
  coachId: CoachId,
): Promise<{ readonly stations: Stations; readonly house: House }> {
  const [row] = await db
    .select({ stations: coaches.stations, house: coaches.house })
    .from(coaches)
    .where(eq(coaches.id, coachId))
  return row ?? { stations: {}, house: {} }
}

export async function setFloor(
  db: Database,
  coachId: CoachId,
  floor: { readonly stations: Stations; readonly house: House },
): Promise<void> {
  await db.update(coaches).set(floor).where(eq(coaches.id, coachId))
}

/** Sessions of some blocks that were sent for a date, with their content; and others of the rotations named, without. */
export function datedOn(
  db: Database,
  coachId: CoachId,
  on: PlainDate,
  {
    blocks,
    rotations,
  }: {
    readonly blocks: readonly BlockId[]
    readonly rotations: readonly { readonly block: BlockId; readonly pass: number }[]
  },
) {
  if (blocks.length === 0) return Promise.resolve([])
  const named = sql`(${datedSessions.blockId}, ${datedSessions.pass}) in (select * from unnest(
    ${sql.param(rotations.map(({ block }) => block))}::uuid[], ${sql.param(rotations.map(({ pass }) => pass))}::int[]))`
  return db
    .select({
      id: datedSessions.id,
      clientId: datedSessions.clientId,
      blockId: datedSessions.blockId,
      pass: datedSessions.pass,
      day: datedSessions.day,
      place: datedSessions.place,
      on: datedSessions.on,
      name: datedSessions.name,
      isBegun: sql<boolean>`${datedSessions.startedAt} is not null`,
      isDone: sql<boolean>`${datedSessions.finishedAt} is not null`,
      isLetGo: sql<boolean>`${datedSessions.missedDecision} is not null`,
      content: sql<unknown>`case when ${datedSessions.on} = ${on} then ${datedSessions.prescribed} end`,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        among(datedSessions.blockId, blocks),
        isNotNull(datedSessions.sentAt),
        or(eq(datedSessions.on, on), named),
      ),
    )
}

/** Agrees on a start for one date; what was agreed for days that are over goes. */
export async function agreeStart(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  { on, start, today }: { on: PlainDate; start: string | null; today: PlainDate },
): Promise<void> {
  const others = sql`(select coalesce(jsonb_object_agg(key, value), '{}') from jsonb_each(${clients.agreedStarts}) where key >= ${today} and key <> ${on})`
  const own =
    start === null ? sql`'{}'::jsonb` : sql`jsonb_build_object(${on}::text, ${start}::text)`
  await db
    .update(clients)
    .set({ agreedStarts: sql`${others} || ${own}` })
    .where(and(eq(clients.coachId, coachId), eq(clients.id, clientId)))
}
