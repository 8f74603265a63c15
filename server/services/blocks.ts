import { randomUUID } from 'node:crypto'
import {
  addDays,
  type BlockId,
  blockId as blockIdOf,
  type ClientId,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import {
  cutBefore,
  earliestAfter,
  factsInBlock,
  modesIn,
  overlapOf,
  type PlanDocument,
  planEnd,
} from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { checkInput, findingKey, findingsOf } from '#core/judge/checks'
import { findingSentence, formatDay } from '#core/words'
import { contextWith, type PlanContext } from '#core/plan/method'
import { loadsAhead, withMovedWeights } from '#core/design/loads'
import {
  type BlockPass,
  type BlockSession,
  datedSession,
  type ExpandedBlock,
  blockAsTold,
  expandedAfter,
  nextBlock,
  phaseGoingOn,
  type SentSession,
} from '#core/design/progress'
import type { NextBlockBody, SendBody, SentView } from '#shared/contracts/block'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { blockOf, blocksOf } from '../db/queries/blocks'
import {
  beginNextBlock,
  openBlock,
  sendPass,
  type SentRow,
  sentOf,
} from '../db/queries/blockSessions'
import { client } from './clients'
import { loadData } from './loads'
import type { Coach } from './signIn'
import { currentTime, serverToday } from '../clock'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'block' }

interface Open {
  readonly clientId: ClientId
  readonly clientName: string
  readonly version: number
  readonly plan: PlanDocument
  readonly context: PlanContext
}

/** A block with all it is computed with; another coach's is not found. */
export async function openedBlock(coach: Coach, blockId: BlockId): Promise<Result<Open, Problem>> {
  const db = database()
  const [owner, block] = await Promise.all([
    openBlock(db, coach.id, blockId),
    blockOf(db, coach.id, blockId),
  ])
  if (!owner || !block) return failure(NOT_FOUND)
  const found = await client(coach, owner.clientId, { block: blockId })
  if (!found.ok) return found
  const { name, method, facts, library } = found.value
  return success({
    clientId: owner.clientId,
    clientName: name,
    version: block.version,
    // A draft is as it is shown: fitted from the block before.
    plan: found.value.block?.plan ?? block.plan,
    context: contextWith(method, facts, catalogueWith(library)),
  })
}

export async function sentRows(coach: Coach, blockId: BlockId): Promise<readonly SentSession[]> {
  return (await sentOf(database(), coach.id, blockId)).map(row => ({
    ...row,
    content: sessionDocument(row.content),
  }))
}

/** What of a block the client has. */
export async function sentSessions(
  coach: Coach,
  blockId: BlockId,
): Promise<Result<z.input<typeof SentView>, Problem>> {
  if (!(await openBlock(database(), coach.id, blockId))) return failure(NOT_FOUND)
  return success({
    sent: [...(await sentRows(coach, blockId))] as z.input<typeof SentView>['sent'],
  })
}

/** The block as it stands, what was sent in its place. */
export async function issued(
  coach: Coach,
  blockId: BlockId,
): Promise<Result<Open & { readonly expanded: ExpandedBlock }, Problem>> {
  const opened = await openedBlock(coach, blockId)
  if (!opened.ok) return opened
  const { plan, context } = opened.value
  return success({
    ...opened.value,
    expanded: blockAsTold(plan, context, await sentRows(coach, blockId), serverToday()),
  })
}

function rowOf(session: BlockSession, context: PlanContext): SentRow {
  const { pass: _, session: prescribed, ...dated } = datedSession(session, context)
  return { ...dated, id: randomUUID(), prescribed, sentAt: currentTime() }
}

/** What can hurt holds sending back, unless the coach has looked at it and dismissed it. */
function stops(
  plan: PlanDocument,
  { rotation }: BlockPass,
  context: PlanContext,
): readonly string[] {
  const aside = new Set((plan.dismissed ?? []).map(({ finding }) => finding))
  return findingsOf(checkInput({ ...plan, rotation }, context))
    .filter(finding => finding.severity === 'stop' && !aside.has(findingKey(finding)))
    .map(findingSentence)
}

const stillDraft = ({ title }: PlanDocument): Problem => ({
  kind: 'invalid',
  errors: [
    {
      pointer: '/pass',
      kind: 'custom',
      detail: `${title} is a draft. Make it a plan first: on Season, M.`,
    },
  ],
})

/** Sends one going through the rotation: from then on those sessions are what was prescribed. */
export async function send(
  coach: Coach,
  blockId: BlockId,
  { pass, version, again }: z.output<typeof SendBody>,
): Promise<Result<{ sessions: number }, Problem>> {
  const opened = await openedBlock(coach, blockId)
  if (!opened.ok) return opened
  const { plan, context } = opened.value
  if (plan.draft) return failure(stillDraft(plan))
  const before = await sentRows(coach, blockId)
  const own = expandedAfter(plan, context, before, serverToday()).passes[pass]
  if (!own)
    return failure({
      kind: 'invalid',
      errors: [
        {
          pointer: '/pass',
          kind: 'custom',
          detail: `The block has ${plan.passes} rotations. Choose one of them.`,
        },
      ],
    })
  const held = stops(plan, own, context)
  if (held.length > 0)
    return failure({
      kind: 'invalid',
      errors: held.slice(0, 3).map(sentence => ({
        pointer: '/pass',
        kind: 'stop',
        detail: `${sentence} Settle it on the board, or dismiss it there with a note.`,
      })),
    })
  const outcome = await sendPass(database(), {
    coachId: coach.id,
    blockId,
    version,
    pass,
    again,
    message: `Rotation ${pass + 1} is on your sheet: ${own.sessions
      .filter(({ isSkipped }) => !isSkipped)
      .map(({ on, name }) => `${formatDay(on)} ${name}`)
      .join(', ')}.`,
    rows: own.sessions
      .filter(({ isSkipped }) => !isSkipped)
      .map(session => rowOf(session, context)),
  })
  if (outcome === 'already') return failure({ kind: 'already-sent', pass })
  if (outcome) return success(outcome)
  const current = await blockOf(database(), coach.id, blockId)
  return failure(
    current
      ? { kind: 'stale-version', current: { ...current, savedAt: current.savedAt.toISOString() } }
      : NOT_FOUND,
  )
}

/** The plan with the weights it names moved along with the log, so that the next block goes on from there. */
export async function withWeightsOfLog(
  coach: Coach,
  id: ClientId,
  plan: PlanDocument,
  startsOn: PlainDate,
): Promise<PlanDocument> {
  const found = await client(coach, id)
  if (!found.ok) return plan
  const { method, facts, library } = found.value
  const { history, unit, bodyKg } = await loadData(coach, found.value, startsOn)
  const sessions = plan.rotation.days.flatMap(({ sessions: own }, day) =>
    own.map((content, place) => ({
      key: `${day} ${place}`,
      on: addDays(startsOn, day),
      content,
      isDeload: false,
      isMissed: true,
    })),
  )
  const ahead = loadsAhead(sessions, history, {
    context: contextWith(method, facts, catalogueWith(library)),
    unit,
    bodyKg,
    rules: plan.block?.rules,
    rotation: plan.rotation,
  })
  return withMovedWeights(plan, new Map([...ahead.values()].flatMap(loads => [...loads])))
}

const badDay = (detail: string): Problem => ({
  kind: 'invalid',
  errors: [{ pointer: '/startsOn', kind: 'custom', detail }],
})

/** The block that is followed, as it stands after the next one is there; a problem where the next finds no room. */
function followed(
  line: Awaited<ReturnType<typeof blocksOf>>,
  blockId: BlockId,
  plan: PlanDocument,
  next: PlanDocument,
  isCut: boolean,
): Result<PlanDocument | null, Problem> {
  const cut = cutBefore(plan, next.startsOn)
  if (!cut)
    return failure(
      badDay(
        `The first rotation of ${plan.title} goes to ${formatDay(addDays(earliestAfter(plan), -1))}. Begin the next block after it.`,
      ),
    )
  if (cut !== plan && !isCut)
    return failure(
      badDay(
        `${plan.title} goes to ${formatDay(planEnd(plan))}. Begin on ${formatDay(addDays(planEnd(plan), 1))} or later, or let it end earlier.`,
      ),
    )
  const other = overlapOf(
    line.filter(({ id }) => id !== blockId),
    null,
    next,
  )
  if (other)
    return failure(
      badDay(
        `${other.plan.title} lies from ${formatDay(other.plan.startsOn)} to ${formatDay(planEnd(other.plan))}. Choose other days or fewer weeks.`,
      ),
    )
  return success(cut === plan ? null : cut)
}

const asBegun = (
  begun: PlanDocument,
  { emphasis = {}, phase }: Pick<PlanDocument, 'emphasis' | 'phase'>,
  isDraft: boolean,
): PlanDocument => ({
  ...begun,
  ...(Object.keys(emphasis).length > 0 && { emphasis }),
  ...(phase && { phase }),
  ...(isDraft && { draft: {} }),
})

/** Puts the next block behind one, from its rotation, with priorities of its own. The running one goes on to its end. */
export async function startNextBlock(
  coach: Coach,
  blockId: BlockId,
  body: z.output<typeof NextBlockBody>,
): Promise<Result<{ id: string }, Problem>> {
  const opened = await openedBlock(coach, blockId)
  if (!opened.ok) return opened
  const { plan, context, clientId } = opened.value
  const id = blockIdOf(randomUUID())
  // What came to be wanted inside the block goes on, unless the coach says otherwise.
  const wanted = { ...modesIn(plan.block ?? {}, plan.passes - 1), ...body.modes }
  const phase = body.phase === undefined ? phaseGoingOn(plan, body.startsOn) : body.phase
  const own = { emphasis: { ...plan.emphasis, ...wanted }, ...(phase && { phase }) }
  const begun = nextBlock(
    await withWeightsOfLog(coach, clientId, plan, body.startsOn),
    { ...context, client: factsInBlock(context.client, own) },
    { ...body, newId: randomUUID },
  )
  const next = asBegun(begun, own, body.isDraft === true)
  const line = await blocksOf(database(), coach.id, clientId)
  const cut = followed(line, blockId, plan, next, body.isCut)
  if (!cut.ok) return cut
  const isDone = await beginNextBlock(database(), {
    coachId: coach.id,
    clientId,
    blockId,
    version: body.version,
    id,
    plan: next,
    cut: cut.value,
  })
  if (isDone) return success({ id })
  const current = await blockOf(database(), coach.id, blockId)
  return failure(
    current
      ? { kind: 'stale-version', current: { ...current, savedAt: current.savedAt.toISOString() } }
      : NOT_FOUND,
  )
}
