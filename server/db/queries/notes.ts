import type { ClientId, CoachId } from '#core/base'
import { and, asc, desc, eq, ilike, isNull } from 'drizzle-orm'
import type { Database } from '../database'
import { clients, datedSessions, goals, notes } from '../schema'
import { ofSession } from './ofSession'

const MOST_NOTES = 200
const MOST_FOUND = 12

const shown = {
  id: notes.id,
  on: notes.on,
  text: notes.text,
  sessionId: datedSessions.id,
  session: datedSessions.name,
}
const itsSession = ofSession(notes)

/** Notes about a client, newest day first. */
export function notesOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select(shown)
    .from(notes)
    .leftJoin(datedSessions, itsSession)
    .where(and(eq(notes.coachId, coachId), eq(notes.clientId, clientId)))
    .orderBy(desc(notes.on), desc(notes.writtenAt))
    .limit(MOST_NOTES)
}

/** Notes about any client on the roster that hold every word, newest first. */
export function foundNotes(db: Database, coachId: CoachId, words: readonly string[]) {
  return db
    .select({ ...shown, client: clients.name, clientId: notes.clientId })
    .from(notes)
    .innerJoin(clients, and(eq(clients.coachId, notes.coachId), eq(clients.id, notes.clientId)))
    .leftJoin(datedSessions, itsSession)
    .where(
      and(
        eq(notes.coachId, coachId),
        isNull(clients.archivedAt),
        ...words.map(word =>
          ilike(notes.text, `%${word.replace(/[\\%_]/g, sign => `\\${sign}`)}%`),
        ),
      ),
    )
    .orderBy(desc(notes.on))
    .limit(MOST_FOUND)
}

/** Keeps a note; one of its id that is there already stays as it is. */
export async function insertNote(db: Database, note: typeof notes.$inferInsert): Promise<void> {
  await db.insert(notes).values(note).onConflictDoNothing()
}

/** Removes a note; false if the client has none by that id. */
export async function deleteNote(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(notes)
    .where(and(eq(notes.coachId, coachId), eq(notes.clientId, clientId), eq(notes.id, id)))
    .returning({ id: notes.id })
  return rows.length > 0
}

/** Goals of a client, the one that ends first on top. */
export function goalsOf(db: Database, coachId: CoachId, clientId: ClientId) {
  return db
    .select()
    .from(goals)
    .where(and(eq(goals.coachId, coachId), eq(goals.clientId, clientId)))
    .orderBy(asc(goals.by))
}

export async function insertGoal(db: Database, goal: typeof goals.$inferInsert): Promise<void> {
  await db.insert(goals).values(goal)
}

/** Removes a goal; false if the client has none by that id. */
export async function deleteGoal(
  db: Database,
  coachId: CoachId,
  clientId: ClientId,
  id: string,
): Promise<boolean> {
  const rows = await db
    .delete(goals)
    .where(and(eq(goals.coachId, coachId), eq(goals.clientId, clientId), eq(goals.id, id)))
    .returning({ id: goals.id })
  return rows.length > 0
}
