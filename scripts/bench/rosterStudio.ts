import { randomUUID } from 'node:crypto'
import { coachId, type PlainDate, plainDate } from '#core/base'
import { database } from '../../server/db/database'
import type { Database } from '../../server/db/database'
import { insertHistories, insertStudio } from '../../server/db/queries/studio'
import { demoClients } from '../../server/demo/studio'
import { writtenHistory } from '../../server/demo/writtenHistory'

interface Studio {
  readonly count: number
  /** Weeks of logs each of them has. */
  readonly weeks: number
  readonly today?: PlainDate
  readonly passwordHash?: string
  readonly db?: Database
}

/** A coach with many clients, each with a name of his own and so many weeks of logs. */
export async function rosterStudio({
  count,
  weeks,
  today = plainDate('2026-04-01'),
  passwordHash = 'none',
  db = database(),
}: Studio) {
  const clients = Array.from({ length: Math.ceil(count / demoClients(today).length) }, (_, seed) =>
    demoClients(today, seed + 1).map(client => ({
      ...client,
      name: `${client.name} ${100 + seed}`,
    })),
  )
    .flat()
    .slice(0, count)
  const id = coachId(randomUUID())
  const coach = { id, email: `${id}@skerrylane.example`, name: 'Bench', studio: 'Bench studio' }
  await insertStudio(db, { ...coach, passwordHash }, clients)
  for (const client of clients)
    await insertHistories(db, coach.id, [writtenHistory(client, today, weeks)])
  return { coach, today, clients }
}
