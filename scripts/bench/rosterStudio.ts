import { randomUUID } from 'node:crypto'
import { coachId, plainDate } from '#core/base'
import { database } from '../../server/db/database'
import { insertHistories, insertStudio } from '../../server/db/queries/studio'
import { demoClients } from '../../server/demo/studio'
import { writtenHistory } from '../../server/demo/writtenHistory'

/** A coach with many clients, each with so many weeks of logs, in the database that DATABASE_URL names. */
export async function rosterStudio(count: number, weeks: number) {
  const today = plainDate('2026-04-01')
  const clients = Array.from({ length: Math.ceil(count / demoClients(today).length) }, (_, seed) =>
    demoClients(today, seed + 1),
  )
    .flat()
    .slice(0, count)
  const coach = { id: coachId(randomUUID()), name: 'Bench', studio: 'Bench studio' }
  await insertStudio(
    database(),
    { ...coach, email: `${coach.id}@skerrylane.example`, passwordHash: 'none' },
    clients,
  )
  for (const client of clients)
    await insertHistories(database(), coach.id, [writtenHistory(client, today, weeks)])
  return { coach, today }
}
