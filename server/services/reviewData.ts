import {
  addDays,
  type BlockId,
  type ClientId,
  failure,
  groupedBy,
  type PlainDate,
  type Result,
  success,
  DAYS_PER_WEEK,
} from '#core/base'
import { type Catalogue, catalogueWith } from '#core/plan/catalogue'
import {
  type DatedValue,
  isAhead,
  type ExcludedEstimate,
  sessionState,
  splitByUse,
} from '#core/body/log'
import { allTrends, TREND } from '#core/body/trend'
import { contextWith, type PlanContext } from '#core/plan/method'
import { LEARNING_DAYS } from '#core/body/recovery-rate'
import { blockAsTold } from '#core/design/progress'
import type { ReplanQuestion } from '#core/follow/replan'
import type { PastSession, ReviewQuestion, SessionOutcome } from '#core/follow/review'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { sessionDocument } from '../db/documents'
import { type Database, database } from '../db/database'
import { sentOf } from '../db/queries/blockSessions'
import { decisionsOf, outcomesOf } from '../db/queries/decisions'
import { painReportsOf } from '../db/queries/health'
import { setsSince } from '../db/queries/logEntries'
import { exposuresOf, lastDone, trainedSince } from '../db/queries/training'
import { client } from './clients'
import { learnedFrom, painfulDaysOf } from './pace'
import type { Coach } from './signIn'
import { siftFacts } from './trends'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'rotation' }

type Row = Awaited<ReturnType<typeof outcomesOf>>[number]

/** Everything a review is made from. */
export interface ReviewData {
  readonly view: ClientView
  readonly block: NonNullable<ClientView['block']>
  readonly context: PlanContext
  readonly catalogue: Catalogue
  readonly rows: readonly Row[]
  /** What was logged, by session. */
  readonly sets: ReadonlyMap<string, readonly Awaited<ReturnType<typeof setsSince>>[number][]>
  readonly question: ReviewQuestion
  readonly decided: Awaited<ReturnType<typeof decisionsOf>>
  readonly reports: Awaited<ReturnType<typeof painReportsOf>>
  readonly leftOut: readonly ExcludedEstimate[]
  /** Estimates that are reckoned with, of the last weeks. */
  readonly used: readonly DatedValue[]
  /** What the log speaks for; worked out when it is asked for, since that takes longest. */
  readonly learned: () => ReturnType<typeof learnedFrom>
}

/** The client's log from a day on, whatever block it belongs to. */
async function logSince(db: Database, coach: Coach, clientId: ClientId, since: PlainDate) {
  const [exposures, reports, trained, done, recent] = await Promise.all([
    exposuresOf(db, coach.id, [clientId], since),
    painReportsOf(db, coach.id, clientId),
    trainedSince(db, coach.id, clientId, since),
    lastDone(db, coach.id, clientId),
    setsSince(db, coach.id, clientId, since),
  ])
  return { exposures, reports, trained, done, recent }
}

/** Plan, log and what is known besides, of one rotation of the block of today or of a certain one; the sets of the last weeks, or of the whole block. */
export async function reviewData(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  today: PlainDate,
  reach: 'weeks' | 'block' = 'weeks',
  of?: BlockId,
): Promise<Result<ReviewData, Problem>> {
  const db = database()
  const since = addDays(today, -Math.max(LEARNING_DAYS, TREND.windowDays))
  const [found, { exposures, reports, trained, done, recent }] = await Promise.all([
    client(coach, clientId, { block: of, today }),
    logSince(db, coach, clientId, since),
  ])
  if (!found.ok) return found
  const { block, method, facts, library } = found.value
  if (!block || (asked !== 'latest' && asked >= block.plan.passes)) return failure(NOT_FOUND)
  const catalogue = catalogueWith(library)
  const context = contextWith(method, facts, catalogue)
  const [sent, rows, decided] = await Promise.all([
    sentOf(db, coach.id, block.id),
    outcomesOf(db, coach.id, block.id),
    decisionsOf(db, coach.id, block.id),
  ])
  const expanded = blockAsTold(
    block.plan,
    context,
    sent.map(row => ({ ...row, content: sessionDocument(row.content) })),
    today,
  )
  // The one most lately begun that anything is known of.
  const pass =
    asked === 'latest'
      ? Math.max(
          0,
          ...rows
            .filter(row => row.pass >= 0 && !isAhead(sessionState(row, today)))
            .map(row => row.pass),
        )
      : asked
  const from =
    reach === 'block'
      ? block.plan.startsOn
      : (expanded.passes[Math.max(0, pass - 1)]?.from ?? block.plan.startsOn)
  const sets = from < since ? await setsSince(db, coach.id, clientId, from) : recent
  const bySession = groupedBy(sets, ({ sessionId }) => sessionId)
  const outcomes = new Map(
    [...groupedBy(rows, row => row.pass)].map(([at, own]) => [
      at,
      own.map((row): SessionOutcome => ({
        day: row.day,
        place: row.place,
        state: sessionState(row, today),
        sets: bySession.get(row.id) ?? [],
        gaps: row.times?.gaps ?? [],
        minutes: row.minutes,
        isRecovered: row.isRecovered,
      })),
    ]),
  )
  const { used, leftOut } = splitByUse(
    exposures,
    siftFacts({ plan: block.plan, reports, decisions: decided, catalogue }),
  )
  const trendFrom = addDays(today, -TREND.windowDays)
  const trends = allTrends(
    used.filter(({ on }) => on >= trendFrom),
    catalogue,
  )
  return success({
    view: found.value,
    block,
    context,
    catalogue,
    rows,
    sets: bySession,
    decided,
    reports,
    used,
    leftOut: leftOut.filter(({ on }) => on >= trendFrom),
    question: {
      expanded,
      pass,
      context,
      outcomes,
      trends: trends.exercises,
      muscles: trends.muscles,
      lastDone: done,
      trials: block.plan.block?.trials ?? [],
    },
    learned: () =>
      learnedFrom(
        { sessions: trained, sets, values: used, painfulDays: painfulDaysOf(reports) },
        facts,
        context,
      ),
  })
}

/** Sessions of the block that are behind, from a day on, as they were sent and as they were logged. */
export function pastSessions({ question }: ReviewData, from: PlainDate): readonly PastSession[] {
  return question.expanded.passes.flatMap(({ at, sessions }) =>
    sessions.flatMap(({ day, place, on, name, content, isSkipped }): PastSession[] => {
      const outcome = question.outcomes.get(at)?.find(one => one.day === day && one.place === place)
      if (!outcome || on < from || isAhead(outcome.state)) return []
      const isExcused = isSkipped || outcome.state === 'decided' || outcome.state === 'begun'
      return [{ on, name, content, sets: outcome.sets, isExcused }]
    }),
  )
}

/** Sessions of the reviewed rotation that were missed and not decided about, by date. */
export function missedRows(
  { rows, question: { pass } }: ReviewData,
  today: PlainDate,
): readonly Row[] {
  return rows.filter(row => row.pass === pass && sessionState(row, today) === 'missed')
}

/** Sessions the client has and nobody has begun, from today on: any of them may turn out not to be possible. */
export function aheadRows(
  { rows, question: { pass } }: ReviewData,
  today: PlainDate,
): readonly Row[] {
  return rows.filter(row => row.pass === pass && isAhead(sessionState(row, today)))
}

/** What a re-plan of a missed session is reckoned on. */
export function replanQuestion(
  { rows, question, block, context }: ReviewData,
  missed: Row,
  today: PlainDate,
): ReplanQuestion {
  const closed = (block.plan.block?.events ?? []).filter(({ effect }) => effect === 'skip')
  return {
    expanded: question.expanded,
    missed: { pass: missed.pass, day: missed.day, place: missed.place },
    today,
    context,
    isAnchored: block.plan.rotation.anchor.kind === 'weekday',
    missedLately: rows.filter(
      row =>
        sessionState(row, today) === 'missed' &&
        row.on > addDays(missed.on, -DAYS_PER_WEEK) &&
        row.on < addDays(missed.on, DAYS_PER_WEEK),
    ).length,
    isClosed: date => closed.some(({ from, to }) => from <= date && date <= to),
  }
}
