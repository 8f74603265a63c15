import { type ClientId, failure, type Result, success } from '#core/base'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { clientOf } from '../db/queries/clients'
import { clearancesOf, painReportsOf } from '../db/queries/health'
import { withPain } from './pain'
import type { Coach } from './signIn'
import { followedMethod, studioSettings } from './studioSettings'

/** One client with the block being planned; another coach's client is not found. */
export async function client(
  coach: Coach,
  clientId: ClientId,
): Promise<Result<ClientView, Problem>> {
  const db = database()
  const [found, settings, reports, clearances] = await Promise.all([
    clientOf(db, coach.id, clientId),
    studioSettings(db, coach.id),
    painReportsOf(db, coach.id, clientId),
    clearancesOf(db, coach.id, clientId),
  ])
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  return success({
    ...found,
    ...followedMethod(settings, found.method),
    library: settings.library,
    facts: withPain(found.facts, reports, clearances, currentTime()),
    block: found.block && { ...found.block, savedAt: found.block.savedAt.toISOString() },
  })
}
