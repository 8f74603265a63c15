import { type ClientId, type CoachId, groupedBy, type PlainDate } from '#core/base'
import type { LogEntry, LogWord, SetPlace } from '#core/follow/sheet'
import { and, asc, eq } from 'drizzle-orm'
import { among } from '../among'
import type { Database } from '../database'
import { datedSessions, logEntries, loggedSets } from '../schema'

export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** An entry on its way into the log. */
export interface NewEntry extends LogEntry {
  readonly session: string
  readonly clockOffSeconds: number
  readonly isTooOld: (on: PlainDate) => boolean
}

export interface Writer {
  readonly clientId: ClientId
  readonly author: 'client' | 'coach' | 'import'
  readonly deviceId: string | null
  readonly receivedAt: Date
}

/** What one phone, or the coach, says at once. */
export interface EntryBatch {
  readonly writer: Writer
  readonly entries: readonly NewEntry[]
  /** What else goes with those that were taken. */
  readonly also: (tx: Transaction, taken: readonly NewEntry[]) => Promise<void>
}

export interface EntryResult {
  readonly id: string
  readonly outcome: 'taken' | 'conflict' | 'too_old' | 'unknown_session'
  readonly theirs: LogEntry | null
}

export type SetRow = typeof loggedSets.$inferSelect
export type NewSetRow = typeof loggedSets.$inferInsert
export type SessionChange = Partial<typeof datedSessions.$inferInsert>

/** A session while entries about it are taken in. */
export interface Held {
  readonly id: string
  readonly clientId: ClientId
  readonly on: PlainDate
  readonly finishedAt: Date | null
  readonly isSent: boolean
  isOpened: boolean
  isStarted: boolean
  /** Its sets that have a place, by it. */
  readonly sets: Map<string, SetRow | NewSetRow>
  nextAt: number
  /** What stood before, by its order in the session. */
  readonly stood: ReadonlyMap<number, SetRow>
  readonly change: SessionChange
}

/** What stands when a round begins. */
export interface Standing {
  readonly sessions: ReadonlyMap<string, Held>
  /** First outcomes, by the id of the entry. */
  readonly known: Map<string, EntryResult['outcome']>
}

export const placeKey = ({ slot, role, set, stage, side }: SetPlace | SetRow) =>
  [slot, role, set, stage, side].join(' ')

export const isAboutPlace = (word: LogWord): word is Extract<LogWord, { kind: 'set' | 'clear' }> =>
  word.kind === 'set' || word.kind === 'clear'

/** First outcomes of entries that are there already. */
async function knownOutcomes(
  tx: Transaction,
  coachId: CoachId,
  batches: readonly EntryBatch[],
): Promise<Map<string, EntryResult['outcome']>> {
  const ids = batches.flatMap(({ entries }) => entries.map(({ id }) => id))
  const rows = await tx
    .select({ id: logEntries.id, outcome: logEntries.outcome })
    .from(logEntries)
    .where(and(eq(logEntries.coachId, coachId), among(logEntries.id, ids)))
  return new Map(rows.map(({ id, outcome }) => [id, outcome]))
}

async function setsAt(tx: Transaction, coachId: CoachId, sessions: string[]): Promise<SetRow[]> {
  if (sessions.length === 0) return []
  return tx
    .select()
    .from(loggedSets)
    .where(and(eq(loggedSets.coachId, coachId), among(loggedSets.sessionId, sessions)))
}

/** Locked in one order, so that two phones wait for each other and never forever. */
function lockedSessions(
  tx: Transaction,
  coachId: CoachId,
  clients: readonly ClientId[],
  ids: readonly string[],
) {
  return tx
    .select({
      id: datedSessions.id,
      clientId: datedSessions.clientId,
      on: datedSessions.on,
      sentAt: datedSessions.sentAt,
      openedAt: datedSessions.openedAt,
      startedAt: datedSessions.startedAt,
      finishedAt: datedSessions.finishedAt,
    })
    .from(datedSessions)
    .where(
      and(
        eq(datedSessions.coachId, coachId),
        among(datedSessions.clientId, clients),
        among(datedSessions.id, ids),
      ),
    )
    .orderBy(asc(datedSessions.id))
    .for('update')
}

type LockedRow = Awaited<ReturnType<typeof lockedSessions>>[number]

function heldOf(
  { sentAt, openedAt, startedAt, ...session }: LockedRow,
  sets: readonly SetRow[],
): Held {
  return {
    ...session,
    isSent: sentAt !== null,
    isOpened: openedAt !== null,
    isStarted: startedAt !== null,
    sets: new Map(sets.map(set => [placeKey(set), set])),
    nextAt: Math.max(-1, ...sets.map(({ at }) => at)) + 1,
    stood: new Map(sets.map(set => [set.at, set])),
    change: {},
  }
}

/** The sessions entries are about with what stands in them, held until the round is written. */
export async function sessionsHeld(
  tx: Transaction,
  coachId: CoachId,
  batches: readonly EntryBatch[],
): Promise<Standing> {
  const entries = batches.flatMap(batch => batch.entries)
  const ids = [...new Set(entries.map(({ session }) => session))]
  const placed = [
    ...new Set(entries.flatMap(({ session, word }) => (isAboutPlace(word) ? [session] : []))),
  ]
  const clients = [...new Set(batches.map(({ writer }) => writer.clientId))]
  const sessions = await lockedSessions(tx, coachId, clients, ids)
  // What stands is read once nobody else can change it.
  const [sets, known] = await Promise.all([
    setsAt(tx, coachId, placed),
    knownOutcomes(tx, coachId, batches),
  ])
  const bySession = groupedBy(sets, ({ sessionId }) => sessionId)
  return {
    sessions: new Map(sessions.map(row => [row.id, heldOf(row, bySession.get(row.id) ?? [])])),
    known,
  }
}
