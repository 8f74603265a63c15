import { randomUUID } from 'node:crypto'
import { addDays, type BlockId, type ClientId, failure, groupedBy, type PlainDate, type Result, success } from '#core/base'
import { adjustmentWords, formatDay, JOINT_NAMES } from '#core/format'
import { TREND } from '#core/log'
import { expandedBlock, issuedBlock } from '#core/progress'
import { type Adjustment, adjustmentKey, passReview, type SessionOutcome, withAdjustment } from '#core/review'
import { SessionContract } from '#shared/contracts/plan'
import type { Problem } from '#shared/contracts/problem'
import type { DecideBody, ReviewView } from '#shared/contracts/review'
import { contextWith } from '#core/method'
import { catalogueWith } from '#core/catalogue'
import type { z } from 'zod'
import { database } from '../db/database'
import { sentOf } from '../db/queries/blockSessions'
import { decisionsOf, insertDecision, notesSince, outcomesOf } from '../db/queries/decisions'
import { painReportsOf } from '../db/queries/health'
import { setsSince } from '../db/queries/logEntries'
import { exposuresOf } from '../db/queries/training'
import { client } from './clients'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'
import { trendsOf } from './trends'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'rotation' }

type Row = Awaited<ReturnType<typeof outcomesOf>>[number]

function stateOf({ finishedAt, startedAt, missedDecision, on }: Row, today: PlainDate): SessionOutcome['state'] {
  if (finishedAt) return 'done'
  if (startedAt) return 'begun'
  if (missedDecision !== null) return 'decided'
  return on < today ? 'missed' : 'ahead'
}

/** A rotation of the block being planned: the plan beside the log, and what follows from it. */
export async function review(coach: Coach, clientId: ClientId, asked: number | 'latest', today: PlainDate): Promise<Result<ReviewView, Problem>> {
  const db = database()
  const found = await client(coach, clientId)
  if (!found.ok) return found
  const { block, method, facts, library, name } = found.value
  if (!block || (asked !== 'latest' && asked >= block.plan.passes)) return failure(NOT_FOUND)
  const context = contextWith(method, facts, catalogueWith(library))
  const [sent, rows, exposures, reports, decided] = await Promise.all([
    sentOf(db, coach.id, block.id), outcomesOf(db, coach.id, block.id), exposuresOf(db, coach.id, [clientId], addDays(today, -TREND.windowDays)), painReportsOf(db, coach.id, clientId), decisionsOf(db, coach.id, block.id),
  ])
  const expanded = issuedBlock(expandedBlock(block.plan, context), sent.map(row => ({ ...row, content: SessionContract.parse(row.content) })))
  // The one most lately begun that anything is known of.
  const pass = asked === 'latest' ? Math.max(0, ...rows.filter(row => row.pass >= 0 && stateOf(row, today) !== 'ahead').map(row => row.pass)) : asked
  const from = expanded.passes[Math.max(0, pass - 1)]?.from ?? block.plan.startsOn
  const [sets, notes] = await Promise.all([setsSince(db, coach.id, clientId, from), notesSince(db, coach.id, clientId, expanded.passes[pass]?.from ?? from)])
  const bySession = groupedBy(sets, ({ sessionId }) => sessionId)
  const outcomes = new Map([...groupedBy(rows, row => row.pass)].map(([at, own]) => [at, own.map((row): SessionOutcome => ({ day: row.day, place: row.place, state: stateOf(row, today), sets: bySession.get(row.id) ?? [], minutes: row.minutes, isRecovered: row.isRecovered }))]))
  const trends = trendsOf(exposures)
  const reviewed = passReview({ expanded, pass, context, outcomes, trends })
  if (!reviewed) return failure(NOT_FOUND)
  const closed = new Set(decided.filter(({ decision, pass: at }) => decision === 'refused' || at === pass).map(({ key }) => key))
  return success({
    name, block: { id: block.id, title: block.plan.title, version: block.version, passes: block.plan.passes }, review: reviewed,
    open: reviewed.adjustments.map(adjustmentKey).filter(key => !closed.has(key)),
    decisions: decided.map(({ id, pass: at, key, proposal, decision, reason, version, decidedBy, decidedAt }) => ({ id, pass: at, key, words: adjustmentWords(proposal), decision, reason, version, by: decidedBy, at: decidedAt.toISOString() })),
    pains: reports.filter(({ on }) => on >= reviewed.from && on <= reviewed.to).map(({ joint, side, score, hasAlarmSign, on }) => ({ on: formatDay(on), words: `${JOINT_NAMES[joint]}, ${side}: ${score} of 10${hasAlarmSign ? ', with an alarm sign' : ''}` })).reverse(),
    notes: [...notes, ...rows.filter(row => row.pass === pass && row.note !== '').map(row => ({ text: row.note, session: row.name }))],
    isNextSent: rows.some(row => row.pass === pass + 1), missed: rows.filter(row => row.pass === pass && stateOf(row, today) === 'missed').map(({ id, name: session, on }) => ({ id, name: session, on })),
    trends: trends.map(({ exercise, trend: { verdict, slope, error, count, spanWeeks } }) => ({ exercise, verdict, slope, error: Number.isFinite(error) ? error : null, count, spanWeeks })),
  })
}

/** Takes a proposal into the plan as one step, or keeps that it was refused and why. */
export async function decideProposal(coach: Coach, clientId: ClientId, asked: number | 'latest', { key, decision, reason, version }: z.output<typeof DecideBody>, today: PlainDate): Promise<Result<{ version: number }, Problem>> {
  const [found, seen] = [await client(coach, clientId), await review(coach, clientId, asked, today)]
  if (!found.ok) return found
  if (!seen.ok) return seen
  const { pass } = seen.value.review
  const proposal = seen.value.review.adjustments.find(candidate => adjustmentKey(candidate) === key)
  const { block } = found.value
  if (!proposal || !block) return failure({ kind: 'invalid', errors: [{ pointer: '/key', kind: 'custom', detail: 'key names a proposal that the log no longer supports. Look at the review again.' }] })
  const saved = decision === 'taken' ? await taken(coach, block, pass + 1, proposal, version) : success({ version: null })
  if (!saved.ok) return saved
  await insertDecision(database(), { coachId: coach.id, id: randomUUID(), clientId, blockId: block.id, pass, key, proposal, decision, reason, version: saved.value.version, decidedBy: coach.name, decidedAt: new Date() })
  return success({ version: saved.value.version ?? block.version })
}

async function taken(coach: Coach, block: { readonly id: BlockId, readonly version: number, readonly plan: Parameters<typeof withAdjustment>[0] }, next: number, proposal: Adjustment, version: number): Promise<Result<{ version: number | null }, Problem>> {
  const plan = withAdjustment(block.plan, next, proposal)
  // What is left to the hand, or goes on, is a decision without a new plan.
  return plan === block.plan ? success({ version: null }) : savePlan(coach, { blockId: block.id, version, plan })
}
