import { setImmediate } from 'node:timers/promises'
import { addDays, type ClientId, groupedBy, type PlainDate } from '#core/base'
import { dayName } from '#core/words'
import { type RotationStrip, rotationStrip } from '#core/count/ledger'
import { splitByUse } from '#core/body/log'
import { type DatedTrend, muscleTrends, TREND } from '#core/body/trend'
import type { PlanDocument, PlanPlace } from '#core/plan/block'
import { waitingInBase } from '#core/design/progress'
import type { Group } from '#core/plan/catalogue'
import { LRUCache } from 'lru-cache'
import type { Database } from '../db/database'
import type { rosterLines } from '../db/queries/clients'
import type { allPainReports } from '../db/queries/health'
import { exposuresOf, type SessionLine, sessionsAround } from '../db/queries/training'
import { plansBy } from './planMemory'
import type { Coach } from './signIn'
import { contextIn, type StudioSettings } from './studioSettings'
import { siftFacts } from './trends'

/*
 * One query per kind, whatever the number of clients. What follows from a plan or a log by heavier work is remembered in
 * this process under the versions it was made from, so a stale answer cannot be given; a restart only costs time. Logs of
 * many clients are read in turns, so that nobody waits for all of them.
 */
export type RosterLine = Awaited<ReturnType<typeof rosterLines>>[number]
type PainRow = Awaited<ReturnType<typeof allPainReports>>[number]

export interface PlanSide {
  readonly plan: PlanDocument
  readonly title: string
  readonly startsOn: PlainDate
  readonly passes: number
  readonly strip: RotationStrip
  /** What is not held, since a base leaves all its work out. */
  readonly waits: (at: PlanPlace) => boolean
  readonly days: readonly {
    readonly name: string
    readonly isRest: boolean
    readonly minutes: number | null
  }[]
}

/** What is known of a client on a day; strength is absent while the log has not been read. */
interface Remembered {
  readonly plan: PlanSide | undefined
  readonly sessions: readonly SessionLine[]
  readonly muscles: ReadonlyMap<Group, DatedTrend> | undefined
  /** What it was made from, as one word. */
  readonly versions: string
}

/** Whose clients they are, on which day, and what else a log is read by. */
export interface RosterQuestion {
  readonly coach: Coach
  readonly today: PlainDate
  readonly lines: readonly RosterLine[]
  readonly settings: StudioSettings
  readonly reports: ReadonlyMap<ClientId, readonly PainRow[]>
}

const MOST_REMEMBERED = 20_000
const planSides = new LRUCache<string, PlanSide>({ max: MOST_REMEMBERED })
const sessionLines = new LRUCache<string, readonly SessionLine[]>({ max: MOST_REMEMBERED })
const strengths = new LRUCache<string, ReadonlyMap<Group, DatedTrend>>({ max: MOST_REMEMBERED })
/** Coaches whose logs are being read on. */
const reading = new Set<string>()

/** Days back that a roster looks at sessions, and days ahead: the longest rotation on either side. */
const AROUND_DAYS = 14
/** Logs read between two looks at the clock. */
const LOGS_AT_ONCE = 5

/** Drops what is remembered, as a restart does; for measuring what the first answer costs. */
export function forgetRoster(): void {
  planSides.clear()
  sessionLines.clear()
  strengths.clear()
}

/**
 * What is known of every client, after reading what was not.
 *
 * Units: ms for logs; those that were not reached in this time are read on without anybody waiting, at least five are read.
 */
export async function remembered(
  db: Database,
  question: RosterQuestion,
  patienceMs: number,
): Promise<ReadonlyMap<ClientId, Remembered>> {
  const until = performance.now() + patienceMs
  const { coach, lines } = question
  const keys = new Map(lines.map(line => [line.id, keysOf(question, line)]))
  const keyOf = (id: ClientId) => keys.get(id) ?? { plan: '', log: '' }
  await Promise.all([learnPlans(db, question, keyOf), learnSessions(db, question, keyOf)])
  await readLogs(db, question, keyOf, until)
  const isRead = ({ id }: RosterLine) => strengths.has(keyOf(id).log)
  if (!reading.has(coach.id) && !lines.every(isRead)) {
    reading.add(coach.id)
    // Whoever asks next starts it anew where it broke off.
    void readLogs(db, question, keyOf, Infinity)
      .catch(() => {})
      .finally(() => reading.delete(coach.id))
  }
  return new Map(
    lines.map(({ id }) => [
      id,
      {
        plan: planSides.get(keyOf(id).plan),
        sessions: sessionLines.get(keyOf(id).log) ?? [],
        muscles: strengths.get(keyOf(id).log),
        versions: keyOf(id).log,
      },
    ]),
  )
}

interface Keys {
  readonly plan: string
  readonly log: string
}
type KeyOf = (id: ClientId) => Keys

/** The versions that what is remembered of a client was made from. */
function keysOf(
  { coach, today, settings, reports }: RosterQuestion,
  { id, revision, blockId, version, method, trainingRevision }: RosterLine,
): Keys {
  const plan = [coach.id, id, revision, blockId, version, method, settings.key].join(' ')
  return { plan, log: [plan, trainingRevision, reports.get(id)?.length ?? 0, today].join(' ') }
}

async function learnPlans(
  db: Database,
  { coach, lines, settings, today }: RosterQuestion,
  keyOf: KeyOf,
): Promise<void> {
  const unknown = lines.filter(
    ({ id, blockId }) => blockId !== null && !planSides.has(keyOf(id).plan),
  )
  const methods = new Map(lines.map(({ id, method }) => [id, method]))
  for (const [id, { facts, plan }] of await plansBy(db, coach.id, unknown, today)) {
    const { title, startsOn, passes, rotation } = plan
    const context = contextIn(settings, methods.get(id) ?? '', facts)
    planSides.set(keyOf(id).plan, {
      plan,
      title,
      startsOn,
      passes,
      strip: rotationStrip(rotation, context),
      waits: waitingInBase(plan, context),
      days: rotation.days.map(day => ({
        name: dayName(day),
        isRest: day.role === 'rest',
        minutes: day.minuteLimit ?? null,
      })),
    })
  }
}

async function learnSessions(
  db: Database,
  { coach, lines, today }: RosterQuestion,
  keyOf: KeyOf,
): Promise<void> {
  const unknown = lines.filter(({ id }) => !sessionLines.has(keyOf(id).log)).map(({ id }) => id)
  const sessions = await sessionsAround(db, coach.id, unknown, {
    from: addDays(today, -AROUND_DAYS),
    to: addDays(today, AROUND_DAYS),
    today,
  })
  for (const id of unknown) sessionLines.set(keyOf(id).log, sessions.get(id) ?? [])
}

/** Reads logs that are not known, some at a time, until all are or the time is over. */
async function readLogs(
  db: Database,
  question: RosterQuestion,
  keyOf: KeyOf,
  until: number,
): Promise<void> {
  const unread = question.lines.map(({ id }) => id).filter(id => !strengths.has(keyOf(id).log))
  for (let from = 0; from < unread.length; from += LOGS_AT_ONCE) {
    await readSome(db, question, keyOf, unread.slice(from, from + LOGS_AT_ONCE))
    if (performance.now() > until) return
    await setImmediate()
  }
}

async function readSome(
  db: Database,
  { coach, today, settings, reports }: RosterQuestion,
  keyOf: KeyOf,
  ids: readonly ClientId[],
): Promise<void> {
  const exposures = groupedBy(
    await exposuresOf(db, coach.id, ids, addDays(today, -TREND.windowDays)),
    ({ clientId }) => clientId,
  )
  for (const id of ids) {
    const facts = siftFacts({
      plan: planSides.get(keyOf(id).plan)?.plan ?? null,
      reports: reports.get(id) ?? [],
      decisions: [],
      catalogue: settings.catalogue,
    })
    const { used } = splitByUse(exposures.get(id) ?? [], facts)
    strengths.set(keyOf(id).log, muscleTrends(used, settings.catalogue))
  }
}
