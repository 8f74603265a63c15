import type { ClientId, CoachId, PlainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import { LRUCache } from 'lru-cache'
import { type Database, isInTransaction } from '../db/database'
import { plansOf, type rosterLines } from '../db/queries/clients'

/** A plan being followed, and the facts that hold in it. */
export interface FollowedPlan {
  readonly plan: PlanDocument
  readonly facts: ClientFacts
}
/** Whose plan, and the versions it and the facts have. */
type PlanLine = Pick<
  Awaited<ReturnType<typeof rosterLines>>[number],
  'id' | 'revision' | 'blockId' | 'version'
>

/** Plans kept at a time. */
const MOST_KEPT = 5000
const kept = new LRUCache<string, FollowedPlan>({ max: MOST_KEPT })

const keyOf = (coach: CoachId, { id, revision, blockId, version }: PlanLine) =>
  [coach, id, revision, blockId, version].join(' ')

/**
 * The plans some clients follow on a day: those whose versions are known from memory, the others read. What a transaction
 * wrote may be given up, and its version be another plan's: it is read and not remembered.
 */
export async function plansBy(
  db: Database,
  coach: CoachId,
  lines: readonly PlanLine[],
  on: PlainDate,
): Promise<ReadonlyMap<ClientId, FollowedPlan>> {
  const followed = lines.filter(({ blockId }) => blockId !== null)
  const keys = new Map(followed.map(line => [line.id, keyOf(coach, line)]))
  const known = new Map<ClientId, FollowedPlan>()
  for (const [id, key] of keys) {
    const held = kept.get(key)
    if (held) known.set(id, held)
  }
  const unknown = followed.flatMap(({ id }) => (known.has(id) ? [] : [id]))
  for (const { id, plan, facts } of await plansOf(db, coach, unknown, on)) {
    const read = { plan, facts }
    known.set(id, read)
    if (!isInTransaction()) kept.set(keys.get(id)!, read)
  }
  return known
}
