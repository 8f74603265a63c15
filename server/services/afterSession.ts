import { addDays, type ClientId, groupedBy, type PlainDate } from '#core/base'
import { FADED_DAYS, tiredBefore, tiredFor } from '#core/body/recovery-rate'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith, type PlanContext } from '#core/plan/method'
import { doneSession, sessionTimes } from '#core/follow/review'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { exercisesOf, keepTimes, keepTired } from '../db/queries/clientLog'
import { entriesOf, sessionById, setsOfSession, setsSince } from '../db/queries/logEntries'
import { trainedSince } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'

/** How tired its muscles came to a session is kept beside its values. */
async function learnTired(
  coach: Coach,
  clientId: ClientId,
  { id, on }: { readonly id: string; readonly on: PlainDate },
  context: PlanContext,
): Promise<void> {
  const db = database()
  const since = addDays(on, -FADED_DAYS)
  const [rows, sets, exercises] = await Promise.all([
    trainedSince(db, coach.id, clientId, since),
    setsSince(db, coach.id, clientId, since),
    exercisesOf(db, coach.id, id),
  ])
  const bySession = groupedBy(sets, ({ sessionId }) => sessionId)
  const tired = tiredBefore(
    rows.map(row => ({
      ...row,
      content: doneSession(sessionDocument(row.prescribed), bySession.get(row.id) ?? []),
    })),
    context,
  ).get(id)
  for (const { exercise } of exercises)
    await keepTired(db, coach.id, id, { exercise, tired: tiredFor(exercise, tired, context) })
}

/** After a session was finished: how long its rests, ways and sets took, and how tired it was begun, is kept beside it. */
export async function learnFromSessions(
  coach: Coach,
  clientId: ClientId,
  sessions: readonly string[],
): Promise<void> {
  const db = database()
  const found = await client(coach, clientId)
  if (!found.ok) return
  const { method, facts, library } = found.value
  const context = contextWith(method, facts, catalogueWith(library))
  for (const id of sessions) {
    const [row, sets, entries] = await Promise.all([
      sessionById(db, coach.id, clientId, id),
      setsOfSession(db, coach.id, id),
      entriesOf(db, coach.id, [id]),
    ])
    if (!row) continue
    const own = entries
      .filter(({ author, outcome }) => author === 'client' && outcome === 'taken')
      .map(({ id: entry, at, word }) => ({ id: entry, at: at.toISOString(), word }))
    await keepTimes(
      db,
      coach.id,
      id,
      sessionTimes(sessionDocument(row.prescribed), sets, own, context),
    )
    await learnTired(coach, clientId, row, context)
  }
}
