import { randomUUID } from 'node:crypto'
import { coachId, plainDate } from '#core/base'
import { type Catalogue, catalogueWith } from '#core/catalogue'
import { contextWith, methodById } from '#core/method'
import { expandedBlock, usualBlock } from '#core/progress'
import { rehearsalGround, rehearsalSpread, rehearsedRun } from '#core/rehearsal'
import { database } from '../../server/db/database'
import { insertHistories, insertStudio } from '../../server/db/queries/studio'
import { review } from '../../server/services/review'
import { demoClients } from '../demo/studio'
import { writtenHistory } from '../demo/writtenHistory'

const WEEKS = 104
const RUNS = 1000

/** A client with two years of logs, four to five sessions a week, in the database that DATABASE_URL names. */
export async function reviewedClient() {
  const today = plainDate('2026-04-01')
  const all = demoClients(today)
  const client = all.find(({ name }) => name.startsWith('Joren'))
  if (!client) throw new Error('the demo has no client whose log falls')
  const coach = { id: coachId(randomUUID()), name: 'Bench', studio: 'Bench studio' }
  await insertStudio(database(), { ...coach, email: `${coach.id}@skerrylane.example`, passwordHash: 'none' }, all)
  const history = writtenHistory(client, today, WEEKS)
  await insertHistories(database(), coach.id, [history])
  return { sessions: history.sessions.filter(({ finishedAt }) => finishedAt !== null).length, run: () => review(coach, client.id, 'latest', today) }
}

/** A block of twelve weeks rehearsed a thousand times, as the worker does it. Seconds. */
export function rehearsalSeconds(): number {
  const client = demoClients(plainDate('2026-04-01')).find(({ name }) => name.startsWith('Marit'))
  if (!client) throw new Error('the demo has no client with ramps')
  const catalogue: Catalogue = catalogueWith({ exercises: [], credits: {} })
  const context = contextWith(methodById(client.method), client.facts, catalogue)
  const passes = Math.ceil(12 * 7 / client.plan.rotation.days.length)
  const { block: _, ...bare } = client.plan
  const plan = { ...bare, passes }
  const began = performance.now()
  const ground = rehearsalGround(expandedBlock({ ...plan, block: usualBlock(plan, context) }, context), context)
  rehearsalSpread(Array.from({ length: RUNS }, (_run, seed) => rehearsedRun(ground, seed)), ground)
  return (performance.now() - began) / 1000
}
