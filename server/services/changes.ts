import { randomUUID } from 'node:crypto'
import {
  type BlockId,
  blockId,
  type ClientId,
  clientId,
  failure,
  type Result,
  success,
} from '#core/base'
import { mergedPlans } from '#core/plan/block'
import type { Catalogue } from '#core/plan/catalogue'
import {
  changeDid,
  changePlace,
  type ChangeKind,
  differenceWords,
  firstName,
  tooLateWords,
} from '#core/words'
import type { ChangesView, LastChanges, TurnAnswer } from '#shared/contracts/changes'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { currentTime } from '../clock'
import { asOneTransaction, type Database, database } from '../db/database'
import { blockOf, savePlanOver } from '../db/queries/blocks'
import { openBlock } from '../db/queries/blockSessions'
import {
  changeOf,
  changesAbout,
  changesOf,
  closeChange,
  markChange,
  type NewChange,
  openChange,
  rowsOfChange,
  type Subject,
  settleOlder,
} from '../db/queries/changes'
import { bumpRevision, clientName, clientNames } from '../db/queries/clients'
import { keepFirstRevision, revisionOf } from '../db/queries/revisions'
import { turnRow } from '../db/queries/rowImages'
import { type Changes, isTurnOfSteps, planStep, stackOf } from './planTurns'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** What is done, and to whom; no client where it is the studio's. */
export interface Doing {
  readonly clientId: ClientId | null
  readonly kind: ChangeKind
}
type Row = Awaited<ReturnType<typeof rowsOfChange>>[number]

class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.kind)
  }
}

/** Runs work as one transaction; what it refuses leaves nothing behind. */
async function allOrNothing<Value>(
  work: (tx: Database) => Promise<Result<Value, Problem>>,
): Promise<Result<Value, Problem>> {
  try {
    return await asOneTransaction(async tx => {
      const result = await work(tx)
      if (!result.ok) throw new Refused(result.error)
      return result
    })
  } catch (error) {
    if (error instanceof Refused) return failure(error.problem)
    throw error
  }
}

/** Runs work so that it can be taken back: every row it writes is kept as it was and as it is, in one transaction. */
export function recorded<Value>(
  coach: Coach,
  { clientId, kind }: Doing,
  work: () => Promise<Result<Value, Problem>>,
): Promise<Result<Value, Problem>> {
  return allOrNothing(async tx => {
    // What is not there is for the work to say.
    if (clientId !== null && !(await clientName(tx, coach.id, clientId))) return work()
    const change: NewChange = {
      coachId: coach.id,
      id: randomUUID(),
      clientId,
      kind,
      by: coach.name,
      at: currentTime(),
    }
    await openChange(tx, change)
    const result = await work()
    if (!result.ok) return result
    if (!(await closeChange(tx, change))) return result
    if (!(kind === 'plan' && (await isTurnOfSteps(tx, change)))) await settleOlder(tx, change)
    return result
  })
}

/** Whom a request is about: the client it names, the client of the block it names, or nobody. */
export async function subjectOf(
  coach: Coach,
  { params, body }: { readonly params: unknown; readonly body: unknown },
): Promise<ClientId | null> {
  const named = (params ?? {}) as { readonly clientId?: ClientId; readonly blockId?: BlockId }
  if (named.clientId) return named.clientId
  const { client } = (body ?? {}) as { readonly client?: unknown }
  if (typeof client === 'string') return clientId(client)
  const owner = named.blockId && (await openBlock(database(), coach.id, named.blockId))
  return owner ? owner.clientId : null
}

const DETAILED = 20

/** Whether there is nobody a list of changes could be about. */
const isNobody = async (coach: Coach, subject: Subject) =>
  subject !== null && subject !== 'anyone' && !(await clientName(database(), coach.id, subject))

/** First names of those changes are about, where a list is about more than one. */
async function namesFor(
  coach: Coach,
  subject: Subject,
  changes: readonly Pick<Changes[number], 'clientId'>[],
) {
  const ids = subject === 'anyone' ? changes.flatMap(({ clientId }) => clientId ?? []) : []
  const names = await clientNames(database(), coach.id, [...new Set(ids)])
  return (clientId: ClientId | null) => {
    const name = clientId && names.get(clientId)
    return name ? `, ${firstName(name)}` : ''
  }
}

/** What was done for a client, in the studio or for anyone, newest first. */
export async function changesFor(
  coach: Coach,
  subject: Subject,
): Promise<Result<z.input<typeof ChangesView>, Problem>> {
  const db = database()
  if (await isNobody(coach, subject)) return failure({ kind: 'not-found', what: 'client' })
  const changes = await changesAbout(db, coach.id, subject)
  const nameOf = await namesFor(coach, subject, changes)
  const { catalogue } = await studioSettings(db, coach.id)
  const details = await Promise.all(
    changes.slice(0, DETAILED).map(({ id, kind }) => detailOf(coach, catalogue, { id, kind })),
  )
  return success({
    changes: changes.map(({ id, clientId, kind, why, by, at, undoneAt }, n) => ({
      id,
      did: changeDid(kind) + nameOf(clientId),
      detail: why || (details[n] ?? ''),
      place: changePlace(kind),
      isForSeveral: subject !== null && clientId === null,
      isPlan: kind === 'plan',
      by,
      at: at.toISOString(),
      isUndone: undoneAt !== null,
    })),
  })
}

/** What would be taken back, and what done again. */
export async function lastChanges(
  coach: Coach,
  subject: Subject,
): Promise<Result<LastChanges, Problem>> {
  if (await isNobody(coach, subject)) return failure({ kind: 'not-found', what: 'client' })
  const changes = await changesOf(database(), coach.id, subject)
  const nameOf = await namesFor(coach, subject, changes)
  const { done, undone } = stackOf(changes)
  const told = (change: Changes[number] | undefined) =>
    change
      ? {
          id: change.id,
          did: changeDid(change.kind) + nameOf(change.clientId),
          isPlan: change.kind === 'plan',
        }
      : null
  return success({ undo: told(done[0]), redo: told(undone[0]) })
}

/** What a change of a plan did, where its two versions can be compared. */
async function detailOf(
  coach: Coach,
  catalogue: Catalogue,
  { id, kind }: { readonly id: string; readonly kind: ChangeKind },
): Promise<string> {
  if (kind !== 'plan') return ''
  const db = database()
  const step = await planStep(db, coach, id)
  if (!step) return ''
  const [before, after] = await Promise.all([
    revisionOf(db, coach.id, step.block, step.before),
    revisionOf(db, coach.id, step.block, step.after),
  ])
  return before && after ? differenceWords(before, after, catalogue) : ''
}

/** Takes back what was done last for a client, in the studio or for anyone. */
export const undoChange = (coach: Coach, subject: Subject, id: string) =>
  turned(coach, subject, { id, isBack: true })

/** Does again what was taken back last. */
export const redoChange = (coach: Coach, subject: Subject, id: string) =>
  turned(coach, subject, { id, isBack: false })

function refusal(detail: string): Result<never, Problem> {
  return failure({ kind: 'invalid', errors: [{ pointer: '/change', kind: 'late', detail }] })
}

function turned(
  coach: Coach,
  asked: Subject,
  { id, isBack }: { readonly id: string; readonly isBack: boolean },
): Promise<Result<z.input<typeof TurnAnswer>, Problem>> {
  return allOrNothing(async tx => {
    const change = await changeOf(tx, coach.id, id)
    if (!change || (asked !== 'anyone' && change.clientId !== asked))
      return failure({ kind: 'not-found', what: 'change' })
    const subject = change.clientId
    const { done, undone } = stackOf(await changesOf(tx, coach.id, subject))
    const nameOf = await namesFor(coach, asked, [change])
    if ((isBack ? done : undone)[0]?.id !== id)
      return refusal(
        'Something else was done since. Look at the list again and take back the last change first.',
      )
    const { catalogue } = await studioSettings(tx, coach.id)
    const detail = await detailOf(coach, catalogue, { id, kind: change.kind })
    const rows = await rowsOfChange(tx, coach.id, id)
    for (const row of isBack ? [...rows].reverse() : rows)
      if (!(await turnedRow(tx, coach, row, isBack))) return refusal(tooLateWords(change.kind))
    await markChange(tx, coach.id, id, isBack ? currentTime() : null)
    for (const id of touchedBy(subject, rows)) await bumpRevision(tx, coach.id, id)
    return success({ did: changeDid(change.kind) + nameOf(subject), detail })
  })
}

/** Clients whose records a change touched. */
function touchedBy(subject: ClientId | null, rows: readonly Row[]): ReadonlySet<ClientId> {
  const named = rows.flatMap(({ inTable, before, after }) => {
    const id = (after ?? before)?.[inTable === 'clients' ? 'id' : 'client_id']
    return typeof id === 'string' ? [clientId(id)] : []
  })
  return new Set(subject === null ? named : [subject, ...named])
}

async function turnedRow(tx: Database, coach: Coach, row: Row, isBack: boolean): Promise<boolean> {
  const [from, to] = isBack ? [row.after, row.before] : [row.before, row.after]
  if (row.inTable !== 'blocks' || !to) return turnRow(tx, row.inTable, from, to)
  const block = blockId(String(to.id))
  if (!from) {
    const isIn = await turnRow(tx, row.inTable, from, to)
    if (isIn) await keepFirstRevision(tx, coach.id, block)
    return isIn
  }
  return (
    (await turnRow(tx, row.inTable, from, to)) &&
    turnedPlan(tx, coach, { block, from: Number(from.version), to: Number(to.version) })
  )
}

/** Saves the plan of an earlier or later version anew, under what was changed since on other days. */
async function turnedPlan(
  tx: Database,
  coach: Coach,
  { block, from, to }: { readonly block: BlockId; readonly from: number; readonly to: number },
): Promise<boolean> {
  if (from === to) return true
  const [base, wanted, current] = await Promise.all([
    revisionOf(tx, coach.id, block, from),
    revisionOf(tx, coach.id, block, to),
    blockOf(tx, coach.id, block),
  ])
  if (!base || !wanted || !current) return false
  const merged = mergedPlans(base, wanted, current.plan)
  if (merged.kind !== 'merged') return false
  const saved = await savePlanOver(tx, {
    coachId: coach.id,
    blockId: block,
    version: current.version,
    plan: merged.plan,
  })
  return saved !== undefined
}
