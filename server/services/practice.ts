import { randomInt, randomUUID } from 'node:crypto'
import {
  addDays,
  blockId,
  type ClientId,
  clientId,
  failure,
  isoWeekday,
  type PlainDate,
  type Result,
  success,
  DAYS_PER_WEEK,
} from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { liftsBody } from '#core/plan/estimate'
import { exposureValue, recentBest, setsByExercise, splitByUse } from '#core/body/log'
import { turnsHeld } from '#core/plan/shorthand'
import { TREND } from '#core/body/trend'
import { contextWith, type PlanContext } from '#core/plan/method'
import { datedSession, expandedBlock } from '#core/design/progress'
import { practiceLog, type PracticeSession, rehearsalData } from '#core/follow/rehearsal'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import { database } from '../db/database'
import { insertClient, profileOf } from '../db/queries/profiles'
import { insertHistories, type NewHistory } from '../db/queries/studio'
import { exposuresOf } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'
import { exclusionFactsOf } from './trends'

/** Rotations a practice client has behind her at most. */
const PASSES_BEHIND = 4
const NOON = 'T12:00:00Z'

/** The plan with so many rotations behind today, on its weekday. */
function begunBefore(plan: PlanDocument, today: PlainDate): PlanDocument {
  const behind = Math.min(PASSES_BEHIND, Math.max(1, plan.passes - 1)) * plan.rotation.days.length
  const start = addDays(today, -behind)
  const { anchor } = plan.rotation
  const back =
    anchor.kind === 'weekday'
      ? (isoWeekday(start) - anchor.startsOn + DAYS_PER_WEEK) % DAYS_PER_WEEK
      : 0
  // Dates of the old block mean nothing to the new one.
  const {
    oneOffs: _,
    block: { events: _events, exceptions: _exceptions, changes: _changes, ...block } = {},
    ...others
  } = plan
  return { ...others, startsOn: addDays(start, -back), block }
}

/** Rows of the simulated weeks: what lies behind is done or missed, the rest of the rotation is sent. */
function historyOf(
  id: ClientId,
  block: ReturnType<typeof blockId>,
  log: readonly PracticeSession[],
  today: PlainDate,
  context: PlanContext,
): NewHistory {
  const pass = Math.max(
    0,
    ...log.filter(({ session }) => session.on <= today).map(({ session }) => session.pass),
  )
  const rows = log
    .filter(({ session }) => session.pass <= pass)
    .map(({ session, isMissed, sets, isRecovered, minutes }) => {
      const isDone = session.on < today && !isMissed
      const { session: prescribed, ...dated } = datedSession(session, context)
      const at = new Date(`${session.on}${NOON}`)
      return {
        id: randomUUID(),
        ...dated,
        blockId: block,
        prescribed,
        sentAt: at,
        openedAt: isDone ? at : null,
        startedAt: isDone ? at : null,
        finishedAt: isDone ? at : null,
        minutes: isDone ? minutes : null,
        isRecovered: isDone ? isRecovered : null,
        note: '',
        sets: isDone ? sets : [],
      }
    })
  return {
    clientId: id,
    pains: [],
    measurements: [],
    closedBlocks: [],
    sessions: rows.map(({ sets: _, ...row }) => row),
    sets: rows.flatMap(({ id: sessionId, sets }) =>
      sets.map((set, at) => ({ ...set, sessionId, at })),
    ),
    exposures: rows.flatMap(({ id: sessionId, on, sets, prescribed }) =>
      setsByExercise(sets, turnsHeld(prescribed)).flatMap(({ exercise, heldAs, sets: own }) => {
        const value = exposureValue(own)
        return value ? [{ sessionId, exercise, on, heldAs, ...value }] : []
      }),
    ),
  }
}

/** Makes a simulated client from a real one's plan, with weeks of log behind her: for trying the sheet and the review without anybody's data. */
export async function makePractice(
  coach: Coach,
  from: ClientId,
  today: PlainDate,
): Promise<Result<{ id: ClientId }, Problem>> {
  const db = database()
  const [found, profile, exposures] = await Promise.all([
    client(coach, from, { today }),
    profileOf(db, coach.id, from),
    exposuresOf(db, coach.id, [from], addDays(today, -TREND.windowDays)),
  ])
  if (!found.ok) return found
  const { block, method, facts, library, name } = found.value
  if (!block || !profile) return failure({ kind: 'not-found', what: 'block' })
  const {
    pain: _pain,
    returning: _back,
    recoveryPace: _pace,
    paceRecords: _records,
    // What her own log tells is not the simulated client's.
    times: _times,
    doneExercises: _done,
    // What the block before leaves is not there for a plan of another day.
    carried: _carried,
    ...ownFacts
  } = facts
  const context = contextWith(method, ownFacts, catalogueWith(library))
  const plan = begunBefore(block.plan, today)
  const [id, ownBlock] = [clientId(randomUUID()), blockId(randomUUID())]
  await insertClient(db, {
    coachId: coach.id,
    id,
    blockId: ownBlock,
    plan,
    facts: ownFacts,
    profile: {
      ...ProfileContract.parse(profile.profile),
      name: `Practice: ${name}`.slice(0, 80),
      about: 'Simulated, not a person',
    },
  })
  const log = practiceLog(
    rehearsalData(expandedBlock(plan, context), context),
    randomInt(2 ** 31),
    new Map(
      recentBest(splitByUse(exposures, await exclusionFactsOf(db, coach, found.value)).used)
        .filter(({ exercise }) => !liftsBody(exercise))
        .map(({ exercise, value }) => [exercise, value]),
    ),
    context,
  )
  await insertHistories(db, coach.id, [historyOf(id, ownBlock, log, today, context)])
  return success({ id })
}
