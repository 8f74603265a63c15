import { addDays, blockId as blockIdOf } from '#core/base'
import { passesFor } from '#core/design/progress'
import { database } from '../../server/db/database'
import { blocks, datedSessions } from '../../server/db/schema'
import type { Coach } from '../../server/services/signIn'
import { and, eq, ne, sql } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { blocksOf } from '../../server/db/queries/blocks'
import { carry } from '../../server/services/carry'
import { keepPlan } from '../../server/services/planTemplates'
import { clientSeason } from '../../server/services/season'
import { rosterStudio } from './rosterStudio'

const OTHERS = 40
const BLOCKS = 40
const WEEKS_EACH = 6
const LOGGED_WEEKS = 250
const READS = 60

const sorted = (samples: readonly number[]) => [...samples].sort((a, b) => a - b)
const at = (samples: readonly number[], share: number) =>
  (sorted(samples)[Math.floor(share * samples.length)] ?? 0).toFixed(0)

async function timed<Value>(work: () => Promise<Value>): Promise<[ms: number, value: Value]> {
  const from = performance.now()
  const value = await work()
  return [performance.now() - from, value]
}

/** What takes a whole studio: a rotation given to 40 clients, and a season of 40 blocks, with the database. */
export async function studioTable(): Promise<readonly object[]> {
  const { coach, today, clients } = await rosterStudio({ count: OTHERS + 1, weeks: 12 })
  const [first, ...others] = clients
  if (!first) throw new Error('the demo has no client')
  const kept = await keepPlan(
    coach,
    {
      name: 'Bench',
      reason: '',
      block: first.blockId,
      part: 'rotation',
    },
    today,
  )
  if (!kept.ok) throw new Error('the rotation could not be kept')
  const from = { kind: 'template', id: kept.value.id } as const
  const [look, given]: number[][] = [[], []]
  for (const { id } of others) {
    look!.push((await timed(() => carry(coach, id, { from, isTrial: true }, today)))[0])
    given!.push((await timed(() => carry(coach, id, { from, isTrial: false }, today)))[0])
  }
  return [
    row('a rotation before 40 clients, one after the other, all', look!),
    row('the same given to them, all', given!),
    ...(await seasonRows()),
  ]
}

const row = (what: string, samples: readonly number[]) => ({
  what,
  'all ms': samples.reduce((sum, one) => sum + one, 0).toFixed(0),
  'median ms': at(samples, 0.5),
  'p95 ms': at(samples, 0.95),
})

/** Blocks of six weeks laid behind the first of a client, so that five years of them end where it begins. */
async function withPast(
  coachId: Coach['id'],
  { id, blockId }: Awaited<ReturnType<typeof rosterStudio>>['clients'][number],
): Promise<void> {
  // The block the log was written for is longer than any: it becomes the first of the line.
  await database()
    .update(blocks)
    .set({ plan: sql`jsonb_set(${blocks.plan}, '{passes}', '1')` })
    .where(and(eq(blocks.coachId, coachId), ne(blocks.id, blockId)))
  const held = (await blocksOf(database(), coachId, id)).find(({ id: own }) => own === blockId)
  if (!held) throw new Error('the client has no block')
  const { oneOffs: _, ...plan } = held.plan
  const days = plan.rotation.days.length
  const passes = passesFor(WEEKS_EACH, days)
  const past = Array.from({ length: BLOCKS - 2 }, (_, back) => ({
    coachId,
    id: blockIdOf(randomUUID()),
    clientId: id,
    version: 1,
    plan: {
      ...plan,
      title: `Block ${BLOCKS - 1 - back}`,
      passes,
      startsOn: addDays(plan.startsOn, -(back + 1) * passes * days),
      rotation: { ...plan.rotation, anchor: { kind: 'floating' as const } },
    },
  }))
  await database().insert(blocks).values(past)
}

/** A client of five years: 40 blocks in a row and a thousand sessions in the log. */
async function seasonRows() {
  const { coach, today, clients } = await rosterStudio({ count: 1, weeks: LOGGED_WEEKS })
  const [own] = clients
  if (!own) throw new Error('the demo has no client')
  const { id } = own
  await withPast(coach.id, own)
  const sessions = await database().$count(datedSessions, eq(datedSessions.coachId, coach.id))
  const [firstTime] = await timed(() => clientSeason(coach, id, today))
  const again: number[] = []
  for (let read = 0; read < READS; read++)
    again.push((await timed(() => clientSeason(coach, id, today)))[0])
  return [
    row(`season of ${BLOCKS} blocks, ${sessions} sessions logged, first time`, [firstTime]),
    row('the same, again', again),
  ]
}
