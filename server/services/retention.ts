import { type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { Retention, RetentionView } from '#shared/contracts/retention'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { deleteClient } from '../db/queries/clients'
import {
  alone,
  archivedTooLong,
  coachesWithRules,
  dueCounts,
  eraseOld,
  retentionOf,
  setRetention,
} from '../db/queries/retention'
import type { Coach } from './signIn'

/** Nothing is erased sooner after its rule was set, so that a slip can be taken back. Units: milliseconds. */
const GRACE_MS = 24 * 3_600_000

/** The coach's rules with what they would erase as things stand. */
export async function retention(coach: Coach): Promise<Result<RetentionView, Problem>> {
  const [db, now] = [database(), currentTime()]
  const { retention: rules, since } = await retentionOf(db, coach.id)
  const clients = await archivedTooLong(db, coach.id, rules, now)
  return success({
    retention: rules,
    from: since && new Date(since.getTime() + GRACE_MS).toISOString(),
    due: {
      clients: clients.map(({ name }) => name),
      ...(await dueCounts(db, coach.id, rules, now)),
    },
  })
}

/** Sets the rules; they are followed a day later. */
export async function saveRetention(
  coach: Coach,
  rules: Retention,
): Promise<Result<RetentionView, Problem>> {
  await setRetention(database(), coach.id, rules, currentTime())
  return retention(coach)
}

/** Erases what every coach's rules say is old enough. False where another server is at it. */
export function eraseDue(now: Date): Promise<boolean> {
  return alone(database(), async tx => {
    for (const coachId of await coachesWithRules(tx, new Date(now.getTime() - GRACE_MS))) {
      const { retention: rules } = await retentionOf(tx, coachId)
      for (const { id } of await archivedTooLong(tx, coachId, rules, now))
        await deleteClient(tx, coachId, id)
      await eraseOld(tx, coachId, rules, now)
    }
  })
}
