import { randomUUID } from 'node:crypto'
import { addDays, type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import { splitByUse } from '#core/body/log'
import { goalCourse, type GoalPoint } from '#core/follow/goals'
import type {
  FoundNotes,
  GoalBody,
  GoalMeasure,
  GoalView,
  NoteBody,
  NotesView,
} from '#shared/contracts/notes'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import { measurementsOf } from '../db/queries/health'
import {
  deleteGoal,
  deleteNote,
  foundNotes,
  goalsOf,
  insertGoal,
  insertNote,
  notesOf,
} from '../db/queries/notes'
import { sessionById } from '../db/queries/logEntries'
import { exposuresOf } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'
import { exclusionFactsOf } from './trends'

const DONE = { isDone: true } as const
const NO_CLIENT: Problem = { kind: 'not-found', what: 'client' }
/** Values of an exercise before a goal was set tell where it starts. Units: days. */
const BEFORE_GOAL = 60

type NoteRow = Awaited<ReturnType<typeof notesOf>>[number]
const shownNote = ({ id, on, text, sessionId, session }: NoteRow) => ({
  id,
  on,
  text,
  session: sessionId && session ? { id: sessionId, name: session } : null,
})

/** What the coach has noted about a client. */
export async function clientNotes(coach: Coach, id: ClientId): Promise<Result<NotesView, Problem>> {
  const db = database()
  if (!(await clientName(db, coach.id, id))) return failure(NO_CLIENT)
  return success({ notes: (await notesOf(db, coach.id, id)).map(shownNote) })
}

/** Notes across clients that hold every word typed. */
export async function searchedNotes(
  coach: Coach,
  typed: string,
): Promise<Result<z.input<typeof FoundNotes>, Problem>> {
  const words = typed.split(/\s+/).filter(Boolean)
  const rows = words.length === 0 ? [] : await foundNotes(database(), coach.id, words)
  return success({
    notes: rows.map(row => ({ ...shownNote(row), client: row.client, clientId: row.clientId })),
  })
}

/** Keeps a note on a day, or about a session of the client's. */
export async function addNote(
  coach: Coach,
  clientId: ClientId,
  { on, session, text }: z.output<typeof NoteBody>,
): Promise<Result<typeof DONE, Problem>> {
  const db = database()
  if (!(await clientName(db, coach.id, clientId))) return failure(NO_CLIENT)
  if (session !== null && !(await sessionById(db, coach.id, clientId, session)))
    return failure({ kind: 'not-found', what: 'session' })
  await insertNote(db, {
    coachId: coach.id,
    id: randomUUID(),
    clientId,
    sessionId: session,
    on,
    text,
    writtenAt: currentTime(),
  })
  return success(DONE)
}

export async function removeNote(
  coach: Coach,
  clientId: ClientId,
  id: string,
): Promise<Result<typeof DONE, Problem>> {
  return (await deleteNote(database(), coach.id, clientId, id))
    ? success(DONE)
    : failure({ kind: 'not-found', what: 'note' })
}

/** A client's goals, each with where it stands today. */
export async function clientGoals(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<{ goals: readonly GoalView[] }, Problem>> {
  const db = database()
  const [found, rows] = await Promise.all([client(coach, id, { today }), goalsOf(db, coach.id, id)])
  if (!found.ok) return found
  const first = rows.map(({ since }) => since).sort()[0] ?? today
  const [measured, exposures] = await Promise.all([
    measurementsOf(db, coach.id, id),
    exposuresOf(db, coach.id, [id], addDays(first, -BEFORE_GOAL)),
  ])
  // What is doubtful tells no progress.
  const { used } = splitByUse(exposures, await exclusionFactsOf(db, coach, found.value))
  const valuesOf = (measure: GoalMeasure): readonly GoalPoint[] =>
    (measure.kind === 'measurement'
      ? measured.filter(({ kind, isPumped }) => kind === measure.of && !isPumped)
      : used.filter(({ exercise }) => exercise === measure.of)
    )
      .map(({ on, value }) => ({ on, value }))
      .sort((a, b) => a.on.localeCompare(b.on))
  return success({
    goals: rows.map(({ id: goal, words, measure, target, since, by }) => {
      const values = valuesOf(measure)
      return {
        id: goal,
        words,
        measure,
        target,
        since,
        by,
        values: values.filter(({ on }) => on >= since),
        course: goalCourse(values, { target, since, by }, today),
      }
    }),
  })
}

/** Sets a goal that counts from today on. */
export async function setGoal(
  coach: Coach,
  clientId: ClientId,
  { by, measure, ...goal }: z.output<typeof GoalBody>,
  today: PlainDate,
): Promise<Result<typeof DONE, Problem>> {
  const found = await client(coach, clientId, { today })
  if (!found.ok) return found
  if (by <= today)
    return failure({
      kind: 'invalid',
      errors: [{ pointer: '/by', kind: 'custom', detail: 'by must lie ahead; give a later day.' }],
    })
  await insertGoal(database(), {
    coachId: coach.id,
    id: randomUUID(),
    clientId,
    measure,
    by,
    since: today,
    ...goal,
  })
  return success(DONE)
}

export async function removeGoal(
  coach: Coach,
  clientId: ClientId,
  id: string,
): Promise<Result<typeof DONE, Problem>> {
  return (await deleteGoal(database(), coach.id, clientId, id))
    ? success(DONE)
    : failure({ kind: 'not-found', what: 'goal' })
}
