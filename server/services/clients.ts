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
import { sessionsCarried } from '#core/design/progress'
import { blockBefore, type PlanDocument, withEmphasis } from '#core/plan/block'
import type { ClientFacts } from '#core/plan/method'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { currentTime, serverToday } from '../clock'
import { database } from '../db/database'
import { readOnce } from '../db/documents'
import { planBefore } from '../db/queries/blocks'
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
const DONE_DAYS = 182
const LEAST_SESSIONS = 6

/** Which block of a client is meant: a certain one, else the one of a day. */
interface Meant {
  readonly block?: BlockId | undefined
  readonly today?: PlainDate
}

const sameFacts = readOnce((facts: ClientFacts) => facts)

/** What the block before leaves in the body for the one that is looked at. */
function carriedFacts(
  { block, method }: NonNullable<Awaited<ReturnType<typeof clientOf>>>,
  facts: ClientFacts,
  before: PlanDocument | null | undefined,
  settings: StudioSettings,
): Pick<ClientFacts, 'carried'> {
  const carried =
    block && before ? sessionsCarried(before, block.plan, contextIn(settings, method, facts)) : []
  return carried.length > 0 ? { carried } : {}
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
    timedSessions(db, coach.id, clientId, since),
  ])
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  if (block && !found.block) return failure({ kind: 'not-found', what: 'block' })
  const before =
    found.block && (await planBefore(db, coach.id, clientId, found.block.plan.startsOn))
  // As the season reads it: with what hurts, and without the emphasis of this block.
  const bare = sameFacts(
    withPain(withStudioGear(found.facts, settings), reports, clearances, currentTime()),
  )
  const own = found.block ? withEmphasis(bare, found.block.plan) : bare
  const times = learnedTimes(timed)
  return success({
    ...found,
    ...followedMethod(settings, found.method),
    library: settings.library,
    facts: sameFacts({
      ...own,
      ...(done.sessions >= LEAST_SESSIONS && { doneExercises: done.exercises }),
      ...(times && { times }),
      ...carriedFacts(found, bare, before, settings),
    }),
    block: found.block && { ...found.block, savedAt: found.block.savedAt.toISOString() },
    before: before ? blockBefore(before) : null,
  })
}
