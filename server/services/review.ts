import { randomUUID } from 'node:crypto'
import {
  addDays,
  type BlockId,
  type ClientId,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { TREND } from '#core/body/trend'
import { GROUPS } from '#core/plan/catalogue'
import {
  adjustmentReason,
  adjustmentWords,
  cameWords,
  expectationWords,
  feltElsewhereWords,
  formatDay,
  JOINT_NAMES,
} from '#core/words'
import { blockState } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import type { Rotation } from '#core/plan/rotation'
import { sessionSlots } from '#core/plan/session'
import type { ExpandedBlock } from '#core/design/progress'
import { replans, withReplan } from '#core/follow/replan'
import {
  type Adjustment,
  adjustmentKey,
  cameOf,
  ownDecision,
  passReview,
  type PassReview,
  type Taking,
  withAdjustment,
} from '#core/follow/review'
import type { Problem } from '#shared/contracts/problem'
import type {
  ConfirmBody,
  DecideBody,
  PaceView,
  ReplanBody,
  ReplanView,
  ReviewView,
} from '#shared/contracts/review'
import type { z } from 'zod'
import { database } from '../db/database'
import { insertDecision, notesSince } from '../db/queries/decisions'
import { decideMissed } from '../db/queries/training'
import { aheadRows, missedRows, replanQuestion, type ReviewData, reviewData } from './reviewData'
import { saidSince } from '../db/queries/clientLog'
import { habitsOf } from './manyRotations'
import { elsewhereIn } from './said'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'
import { saidOf, saidTrends } from './trends'
import { currentTime } from '../clock'

/** The first day of a rotation that has an exercise, from 1; null where none has it any more. */
function dayWith({ days }: Rotation, exercise: string): number | null {
  const at = days.findIndex(({ sessions }) =>
    sessions.some(session => sessionSlots(session).some(slot => slot.exercise === exercise)),
  )
  return at < 0 ? null : at + 1
}

const NOT_FOUND: Problem = { kind: 'not-found', what: 'rotation' }

function pacesOf({ learned, view: { facts } }: ReviewData): readonly PaceView[] {
  const paces = learned()
  return GROUPS.flatMap((group): PaceView[] => {
    const [own, record, inForce] = [
      paces.get(group),
      facts.paceRecords?.[group],
      facts.recoveryPace?.[group],
    ]
    return own || record || inForce !== undefined
      ? [
          {
            group,
            learned: own ?? null,
            inForce: inForce ?? 1,
            by: record?.by ?? (inForce === undefined ? null : 'coach'),
            since: record?.since ?? null,
          },
        ]
      : []
  })
}

/** Of the reviewed rotation and the next, what the client has in an older form or not yet. */
function toSend({ passes }: ExpandedBlock, pass: number): ReviewView['toSend'] {
  return [pass, pass + 1].flatMap(at => {
    const sessions = passes[at]?.sessions.filter(({ isSkipped }) => !isSkipped) ?? []
    const isSent = sessions.some(({ sent }) => sent !== undefined)
    const isOlder = sessions.some(
      ({ sent }) => sent === undefined || (sent.isEdited && !sent.isDone && sent.setsDone === 0),
    )
    return sessions.length > 0 && (isSent ? isOlder : at > pass)
      ? [{ pass: at, again: isSent }]
      : []
  })
}

const withoutContents = (all: ReturnType<typeof replans>): readonly ReplanView[] =>
  all.map(({ refilled, ...one }) => ({
    ...one,
    refilled: refilled.map(({ content: _, ...place }) => place),
  }))
/** A rotation of the block being planned: the plan beside the log, and what follows from it. */
export async function review(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  today: PlainDate,
  of?: BlockId,
): Promise<Result<ReviewView, Problem>> {
  const data = await reviewData(coach, clientId, asked, today, 'weeks', of)
  return data.ok ? reviewOf(coach, clientId, data.value, today, of) : data
}

/** What there is to decide about after a rotation, without the figures it follows from; null where there is none to review. */
export async function openReview(coach: Coach, clientId: ClientId, pass: number, today: PlainDate) {
  const data = await reviewData(coach, clientId, pass, today)
  const reviewed = data.ok ? passReview(data.value.question) : undefined
  if (!data.ok || !reviewed) return null
  const { question, decided, catalogue, view } = data.value
  const keys = new Set(openKeys(data.value, reviewed))
  return {
    pass: question.pass,
    to: reviewed.to,
    open: reviewed.adjustments.filter(one => keys.has(adjustmentKey(one))),
    /** What was taken after it, the last first. */
    taken: decided.filter(({ decision, pass: at }) => decision === 'taken' && at === question.pass),
    toSend: toSend(question.expanded, question.pass),
    pain: view.facts.pain,
    catalogue,
  }
}

/** Proposals that nobody has decided about. */
function openKeys(
  { decided, question }: ReviewData,
  { adjustments }: PassReview,
): readonly string[] {
  const closed = new Set(
    decided
      .filter(({ decision, pass }) => decision === 'refused' || pass === question.pass)
      .map(({ key }) => key),
  )
  return adjustments.map(adjustmentKey).filter(key => !closed.has(key))
}

async function reviewOf(
  coach: Coach,
  clientId: ClientId,
  data: ReviewData,
  today: PlainDate,
  of: BlockId | undefined,
): Promise<Result<ReviewView, Problem>> {
  const { view, block, question, decided, rows, reports, catalogue } = data
  const { expanded, pass, trends } = question
  const reviewed = passReview(question)
  if (!reviewed) return failure(NOT_FOUND)
  const [notes, said] = await Promise.all([
    notesSince(database(), coach.id, clientId, reviewed.from),
    saidSince(database(), coach.id, clientId, addDays(today, -TREND.windowDays)),
  ])
  const missed = missedRows(data, today)
  const nameOf = (exercise: string) => catalogue.get(exercise)?.name ?? exercise
  return success({
    name: view.name,
    block: {
      id: block.id,
      title: block.plan.title,
      version: block.version,
      passes: block.plan.passes,
    },
    review: reviewed,
    // What is over is looked back at; nothing of it is decided any more.
    open:
      blockState(block.plan, today) === 'behind' && of !== undefined
        ? []
        : [...openKeys(data, reviewed)],
    came: cameOf(
      decided.filter(({ decision }) => decision === 'taken'),
      reviewed,
      question.context,
    ).map(one => ({
      key: `${one.pass} ${adjustmentKey(one.proposal)}`,
      words: adjustmentWords(one.proposal, nameOf),
      expected: expectationWords(one.expectation),
      came: cameWords(one),
      isMet: one.isMet,
    })),
    decisions: decided.map(
      ({ id, pass: at, key, proposal, decision, reason, version, decidedBy, decidedAt }) => ({
        id,
        pass: at,
        key,
        words: adjustmentWords(proposal, nameOf),
        why: adjustmentReason(proposal),
        decision,
        reason,
        version,
        by: decidedBy,
        at: decidedAt.toISOString(),
      }),
    ),
    pains: reports
      // What hurts today is told at once, also where nothing of today's rotation has been trained yet.
      .filter(({ on }) => (on >= reviewed.from && on <= reviewed.to) || on === today)
      .map(({ joint, side, score, hasAlarmSign, on }) => ({
        on: formatDay(on),
        words: `${JOINT_NAMES[joint]}, ${side}: ${score} of 10${hasAlarmSign ? ', with an alarm sign' : ''}`,
      }))
      .reverse(),
    notes: [
      ...notes,
      ...rows
        .filter(row => row.pass === pass && row.note !== '')
        .map(row => ({ text: row.note, session: row.name })),
    ],
    toSend: toSend(expanded, pass),
    missed: missed.map(({ id, name: session, on }) => ({ id, name: session, on })),
    ahead: aheadRows(data, today).map(({ id, name: session, on }) => ({ id, name: session, on })),
    replans: missed[0] ? withoutContents(replans(replanQuestion(data, missed[0], today))) : [],
    trends: saidTrends(trends, question.context.client),
    muscleTrends: [...question.muscles].map(([group, trend]) => ({
      group,
      ...saidOf(trend, question.context.client),
    })),
    leftOut: data.leftOut,
    elsewhere: elsewhereIn(said).map(one => ({
      words: feltElsewhereWords(one, nameOf(one.exercise)),
      day: dayWith(block.plan.rotation, one.exercise),
    })),
    paces: pacesOf(data),
    ...habitsOf(data, today),
  })
}

const gone = (pointer: string, detail: string): Problem => ({
  kind: 'invalid',
  errors: [{ pointer, kind: 'custom', detail }],
})

interface Kept {
  readonly coach: Coach
  readonly clientId: ClientId
  readonly blockId: BlockId
  readonly pass: number
}

async function keep(
  { coach, clientId, blockId, pass }: Kept,
  proposal: Adjustment,
  {
    decision,
    reason,
    version,
  }: {
    readonly decision: 'taken' | 'refused'
    readonly reason: string
    readonly version: number | null
  },
): Promise<void> {
  await insertDecision(database(), {
    coachId: coach.id,
    id: randomUUID(),
    clientId,
    blockId,
    pass,
    key: adjustmentKey(proposal),
    proposal,
    decision,
    reason,
    version,
    decidedBy: coach.name,
    decidedAt: currentTime(),
  })
}

/** Takes a proposal into the plan as one step, or keeps that it was refused and why. */
export async function decideProposal(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  { key, decision, reason, version, isOnce }: z.output<typeof DecideBody>,
  today: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const data = await reviewData(coach, clientId, asked, today)
  if (!data.ok) return data
  const { question, block, context } = data.value
  const proposal = passReview(question)?.adjustments.find(
    candidate => adjustmentKey(candidate) === key,
  )
  if (!proposal)
    return failure(
      gone(
        '/key',
        'key names a proposal that the log no longer supports. Look at the review again.',
      ),
    )
  const saved =
    decision === 'taken'
      ? await taken(coach, block, question.pass + 1, proposal, {
          version,
          context,
          taking: { isOnce, on: today, why: adjustmentReason(proposal) },
        })
      : success({ version: null })
  if (!saved.ok) return saved
  await keep({ coach, clientId, blockId: block.id, pass: question.pass }, proposal, {
    decision,
    reason,
    version: saved.value.version,
  })
  return success({ version: saved.value.version ?? block.version })
}

async function taken(
  coach: Coach,
  block: ReviewData['block'],
  next: number,
  proposal: Adjustment,
  {
    version,
    context,
    taking,
  }: { readonly version: number; readonly context: PlanContext; readonly taking: Taking },
): Promise<Result<{ version: number | null }, Problem>> {
  const plan = withAdjustment(block.plan, next, proposal, context, taking)
  // What is left to the hand, or goes on, is a decision without a new plan.
  return plan === block.plan
    ? success({ version: null })
    : savePlan(coach, { blockId: block.id, version, plan })
}

/** Chooses what is done about a missed session: the plan changes by one step, and nothing asks about the session again. */
export async function chooseReplan(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  { session, option, version }: z.output<typeof ReplanBody>,
  today: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const data = await reviewData(coach, clientId, asked, today)
  if (!data.ok) return data
  const { block, question } = data.value
  const missed = [...missedRows(data.value, today), ...aheadRows(data.value, today)].find(
    ({ id }) => id === session,
  )
  if (!missed)
    return failure(
      gone(
        '/session',
        'session names a session that was done, or was decided about. Look at the review again.',
      ),
    )
  const asking = replanQuestion(data.value, missed, today)
  const chosen = replans(asking).find(candidate => candidate.option === option)
  if (!chosen)
    return failure(
      gone(
        '/option',
        `option ${option} is not possible here any more. Choose one of those the review shows.`,
      ),
    )
  const plan = withReplan(block.plan, chosen, asking)
  const saved =
    plan === block.plan
      ? success({ version: null })
      : await savePlan(coach, { blockId: block.id, version, plan })
  if (!saved.ok) return saved
  await decideMissed(database(), coach.id, clientId, session, option)
  await keep(
    { coach, clientId, blockId: block.id, pass: question.pass },
    ownDecision('M1', { kind: 'replan', option, session: missed.name, on: missed.on }),
    { decision: 'taken', reason: '', version: saved.value.version },
  )
  return success({ version: saved.value.version ?? block.version })
}

/** What could be done about a session that will be missed, before it is. */
export async function replansFor(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  session: string,
  today: PlainDate,
): Promise<Result<{ replans: readonly ReplanView[] }, Problem>> {
  const data = await reviewData(coach, clientId, asked, today)
  if (!data.ok) return data
  const row = [...missedRows(data.value, today), ...aheadRows(data.value, today)].find(
    ({ id }) => id === session,
  )
  return row
    ? success({ replans: withoutContents(replans(replanQuestion(data.value, row, today))) })
    : failure({ kind: 'not-found', what: 'session' })
}

/** An estimate that was questioned is right after all: from now on it is reckoned with. */
export async function confirmValue(
  coach: Coach,
  clientId: ClientId,
  asked: number | 'latest',
  value: z.output<typeof ConfirmBody>,
  today: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const data = await reviewData(coach, clientId, asked, today)
  if (!data.ok) return data
  const { block, question, leftOut } = data.value
  if (
    !leftOut.some(
      one => one.exercise === value.exercise && one.on === value.on && one.value === value.value,
    )
  )
    return failure(
      gone('/value', 'value names no estimate that was questioned. Look at the review again.'),
    )
  await keep(
    { coach, clientId, blockId: block.id, pass: question.pass },
    ownDecision('O1', { kind: 'confirm', ...value }),
    { decision: 'taken', reason: '', version: null },
  )
  return success({ version: block.version })
}
