import type { ClientId, CoachId } from '#core/base'
import { ClientFactsContract } from '#shared/contracts/client'
import { PlanContract } from '#shared/contracts/plan'
import { and, asc, eq } from 'drizzle-orm'
import type { Database } from '../database'
import { blocks, clients } from '../schema'

const columns = {
  id: clients.id, name: clients.name, about: clients.about, method: clients.method, facts: clients.facts,
  block: { id: blocks.id, version: blocks.version, savedAt: blocks.savedAt, plan: blocks.plan },
}

function withBlocks(db: Database) {
  return db.select(columns).from(clients)
    .leftJoin(blocks, and(eq(blocks.coachId, clients.coachId), eq(blocks.clientId, clients.id)))
}

type Row = Awaited<ReturnType<typeof withBlocks>>[number]

/** Documents are checked on their way out too: what an older program wrote is caught here, not on a screen. */
function parsedRow({ facts, block, ...client }: Row) {
  return { ...client, facts: ClientFactsContract.parse(facts), block: block && { ...block, plan: PlanContract.parse(block.plan) } }
}

/** All clients of a coach with the block being planned, in her order. */
export async function clientsOf(db: Database, coachId: CoachId) {
  const rows = await withBlocks(db).where(eq(clients.coachId, coachId)).orderBy(asc(clients.position), asc(clients.name))
  return rows.map(parsedRow)
}

/** One client of a coach; undefined if there is none, or if it is another coach's. */
export async function clientOf(db: Database, coachId: CoachId, clientId: ClientId) {
  const [row] = await withBlocks(db).where(and(eq(clients.coachId, coachId), eq(clients.id, clientId))).limit(1)
  return row && parsedRow(row)
}
