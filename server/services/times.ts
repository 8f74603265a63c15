import type { ClientId } from '#core/base'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { sessionTimes } from '#core/follow/review'
import { SessionContract } from '#shared/contracts/plan'
import { database } from '../db/database'
import { keepTimes } from '../db/queries/clientLog'
import { entriesOf, sessionById, setsOfSession } from '../db/queries/logEntries'
import { client } from './clients'
import type { Coach } from './signIn'

/** After a session was finished: how long its rests, ways and sets took is kept beside it. */
export async function learnTimes(
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
      sessionTimes(SessionContract.parse(row.prescribed), sets, own, context),
    )
  }
}
