import { randomUUID } from 'node:crypto'
import {
  addDays,
  type ClientId,
  failure,
  groupedBy,
  type PlainDate,
  remembered,
  type Result,
  success,
} from '#core/base'
import { passOn } from '#core/plan/block'
import { catalogueWith, type Group } from '#core/plan/catalogue'
import { type LoggedSet, splitByUse } from '#core/body/log'
import { contextWith, type PlanContext } from '#core/plan/method'
import {
  learnedPaces,
  LEARNING_DAYS,
  pacesAfter,
  pacesWith,
  type PaceDecision,
  type TrainedSession,
} from '#core/body/recovery-rate'
import type { OwnPace } from '#core/body/recovery'
import { adjustmentKey, doneSession, ownDecision } from '#core/follow/review'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { LRUCache } from 'lru-cache'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { lockedFacts, updateFacts } from '../db/queries/clients'
import { insertDecision } from '../db/queries/decisions'
import { painReportsOf } from '../db/queries/health'
import { setsSince } from '../db/queries/logEntries'
import { exposuresOf, trainedSince } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'
import { exclusionFactsOf } from './trends'
import { currentTime } from '../clock'
import { digestOf } from '../digest'

/** Pain from here on says that a session tells nothing of recovery. */
const HURTS = 3

interface Log {
  readonly sessions: Awaited<ReturnType<typeof trainedSince>>
  readonly sets: readonly (LoggedSet & { readonly sessionId: string })[]
  readonly values: Parameters<typeof learnedPaces>[1]
  readonly painfulDays: ReadonlySet<PlainDate>
}

const NOTHING_LEARNED: OwnPace = { kind: 'not_enough_data', exposures: 0, why: 'few' }

type Learned = ReadonlyMap<Group, OwnPace>

/** Logs of one client whose lesson is kept: of today's and of a review of an earlier day. */
const MOST_LEARNED = 4
const learnedIn = remembered(
  (_context: PlanContext, _catalogue: PlanContext['catalogue']) =>
    new LRUCache<string, Learned>({ max: MOST_LEARNED }),
)

/**
 * Paces the log speaks for; what the coach has begun anew is learned from that day on. What a log taught is kept under all it
 * says, so that a log that says anything else is learned from anew.
 */
export function learnedFrom(log: Log, facts: ClientView['facts'], context: PlanContext): Learned {
  const known = learnedIn(context, context.catalogue)
  const { sessions, sets, values, painfulDays } = log
  const key = digestOf([sessions, sets, values, [...painfulDays], facts.paceRecords ?? null])
  const learned = known.get(key) ?? taughtBy(log, facts, context)
  known.set(key, learned)
  return learned
}

function taughtBy(
  { sessions, sets, values, painfulDays }: Log,
  facts: ClientView['facts'],
  context: PlanContext,
): Learned {
  const bySession = groupedBy(sets, ({ sessionId }) => sessionId)
  const trained = sessions.flatMap((row): TrainedSession[] => {
    const own = bySession.get(row.id) ?? []
    return own.length === 0
      ? []
      : [
          {
            on: row.on,
            place: row.place,
            content: doneSession(sessionDocument(row.prescribed), own),
            isRecovered: row.recovery ?? row.isRecovered,
            isPainful: painfulDays.has(row.on),
          },
        ]
  })
  const all = learnedPaces(trained, values, context)
  const anew = Object.entries(facts.paceRecords ?? {}).flatMap(([group, record]) =>
    record.since ? [[group as Group, record.since] as const] : [],
  )
  const since = new Map(
    [...new Set(anew.map(([, from]) => from))].map(from => [
      from,
      learnedPaces(
        trained.filter(({ on }) => on >= from),
        values,
        context,
      ),
    ]),
  )
  const later = anew.map(
    ([group, from]) => [group, since.get(from)?.get(group) ?? NOTHING_LEARNED] as const,
  )
  return new Map([...all, ...later])
}

/** The client's log as it is learned from. */
export async function paceLog(
  coach: Coach,
  view: Pick<ClientView, 'id' | 'block' | 'library'>,
  today: PlainDate,
): Promise<Log> {
  const db = database()
  const [{ id }, from] = [view, addDays(today, -LEARNING_DAYS)]
  const [sessions, sets, values, reports, facts] = await Promise.all([
    trainedSince(db, coach.id, id, from),
    setsSince(db, coach.id, id, from),
    exposuresOf(db, coach.id, [id], from),
    painReportsOf(db, coach.id, id),
    exclusionFactsOf(db, coach, view),
  ])
  return {
    sessions,
    sets,
    values: splitByUse(values, facts).used,
    painfulDays: painfulDaysOf(reports),
  }
}

export function painfulDaysOf(
  reports: Awaited<ReturnType<typeof painReportsOf>>,
): ReadonlySet<PlainDate> {
  return new Set(reports.filter(({ score }) => score >= HURTS).map(({ on }) => on))
}

/** After a session was finished: what the log is clear about comes into force, a small step at a time. */
export async function learnPaces(coach: Coach, id: ClientId, today: PlainDate): Promise<void> {
  const found = await client(coach, id, { today })
  if (!found.ok) return
  const { method, facts, library } = found.value
  const learned = learnedFrom(
    await paceLog(coach, found.value, today),
    facts,
    contextWith(method, facts, catalogueWith(library)),
  )
  await database().transaction(async tx => {
    const locked = await lockedFacts(tx, coach.id, id)
    if (!locked) return
    const { recoveryPace = {}, paceRecords = {} } = locked.facts
    const next = pacesAfter(learned, recoveryPace, paceRecords, today)
    if (next.paces !== recoveryPace)
      await updateFacts(tx, coach.id, id, {
        facts: { ...locked.facts, recoveryPace: next.paces, paceRecords: next.records },
      })
  })
}

/** The coach sets a pace, goes back to the usual hours, or lets it be learned anew; kept with who and when. */
export async function decidePace(
  coach: Coach,
  id: ClientId,
  { group, decision }: { readonly group: Group; readonly decision: PaceDecision },
  today: PlainDate,
): Promise<Result<{ isDone: true }, Problem>> {
  const found = await client(coach, id, { today })
  if (!found.ok) return found
  const { block } = found.value
  return database().transaction(async (tx): Promise<Result<{ isDone: true }, Problem>> => {
    const locked = await lockedFacts(tx, coach.id, id)
    if (!locked) return failure({ kind: 'not-found', what: 'client' })
    const next = pacesWith(
      group,
      decision,
      locked.facts.recoveryPace ?? {},
      locked.facts.paceRecords ?? {},
      today,
    )
    await updateFacts(tx, coach.id, id, {
      facts: { ...locked.facts, recoveryPace: next.paces, paceRecords: next.records },
    })
    const proposal = ownDecision(
      'P1',
      {
        kind: 'pace',
        pace: decision.kind === 'set' ? decision.pace : null,
        isAnew: decision.kind === 'anew',
      },
      group,
    )
    if (block)
      await insertDecision(tx, {
        coachId: coach.id,
        id: randomUUID(),
        clientId: id,
        blockId: block.id,
        pass: Math.max(0, passOn(block.plan, today) ?? 0),
        key: adjustmentKey(proposal),
        proposal,
        decision: 'taken',
        reason: '',
        version: null,
        decidedBy: coach.name,
        decidedAt: currentTime(),
      })
    return success({ isDone: true })
  })
}
