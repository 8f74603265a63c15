import {
  addDays,
  type BlockId,
  type ClientId,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { learnedTimes } from '#core/body/times'
import { fittedLine, sessionsCarried } from '#core/design/progress'
import { blockBefore, type PlanDocument, factsInBlock } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { currentTime, serverToday } from '../clock'
import { database } from '../db/database'
import { readOnce } from '../db/documents'
import { blocksOf, planBefore } from '../db/queries/blocks'
import { clientOf } from '../db/queries/clients'
import { clearancesOf, painReportsOf } from '../db/queries/health'
import { doneSince, timedSessions } from '../db/queries/clientLog'
import { withPain } from './pain'
import type { Coach } from './signIn'
import {
  contextIn,
  followedMethod,
  type StudioSettings,
  studioSettings,
  withStudioGear,
} from './studioSettings'

/** Days of log that tell what a client knows, and the sessions it takes to tell. */
export const DONE_DAYS = 182
const LEAST_SESSIONS = 6

/** Which block of a client is meant: a certain one, else the one of a day. */
interface Meant {
  readonly block?: BlockId | undefined
  readonly today?: PlainDate
}

/** Facts that say the same are the same, so that what was computed with them is found again. */
export const sameFacts = readOnce((facts: ClientFacts) => facts)

type Found = NonNullable<Awaited<ReturnType<typeof clientOf>>>

/** What the block before leaves in the body for the one that is looked at. */
function carriedFacts(
  { block, method }: Pick<Found, 'block' | 'method'>,
  facts: ClientFacts,
  before: PlanDocument | undefined,
  settings: StudioSettings,
): Pick<ClientFacts, 'carried'> {
  const carried =
    block && before ? sessionsCarried(before, block.plan, contextIn(settings, method, facts)) : []
  return carried.length > 0 ? { carried } : {}
}

/** The block that is looked at and the one before it; a draft is as it fits behind the block before. */
async function laidOut(
  coach: Coach,
  { id, block, method }: Found,
  facts: ClientFacts,
  settings: StudioSettings,
): Promise<{ readonly block: Found['block']; readonly before: PlanDocument | undefined }> {
  const db = database()
  const before = block ? await planBefore(db, coach.id, id, block.plan.startsOn) : undefined
  if (!block || (!block.plan.draft && !before?.draft)) return { block, before }
  const line = fittedLine(await blocksOf(db, coach.id, id), contextIn(settings, method, facts))
  const at = line.findIndex(held => held.id === block.id)
  const own = line[at]
  return { block: own ? { ...block, plan: own.plan } : block, before: line[at - 1]?.plan }
}

/** One client with the block of today, or a certain one of hers; another coach's client is not found. */
export async function client(
  coach: Coach,
  clientId: ClientId,
  { block, today = serverToday() }: Meant = {},
): Promise<Result<ClientView, Problem>> {
  const db = database()
  const since = addDays(today, -DONE_DAYS)
  const [found, settings, reports, clearances, done, timed] = await Promise.all([
    clientOf(db, coach.id, clientId, { today, block }),
    studioSettings(db, coach.id),
    painReportsOf(db, coach.id, clientId),
    clearancesOf(db, coach.id, clientId),
    doneSince(db, coach.id, clientId, since),
    timedSessions(db, coach.id, [clientId], since),
  ])
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  if (block && !found.block) return failure({ kind: 'not-found', what: 'block' })
  // As the season reads it: with what hurts, and without the emphasis of this block.
  const bare = sameFacts(
    withPain(withStudioGear(found.facts, settings), reports, clearances, currentTime()),
  )
  const { block: held, before } = await laidOut(coach, found, bare, settings)
  const own = held ? factsInBlock(bare, held.plan) : bare
  const times = learnedTimes(timed.get(clientId) ?? [])
  return success({
    ...found,
    ...followedMethod(settings, found.method),
    library: settings.library,
    facts: sameFacts({
      ...own,
      ...(done.sessions >= LEAST_SESSIONS && { doneExercises: done.exercises }),
      ...(times && { times }),
      ...carriedFacts({ ...found, block: held }, bare, before, settings),
    }),
    block: held && { ...held, savedAt: held.savedAt.toISOString() },
    before: before ? blockBefore(before) : null,
  })
}
