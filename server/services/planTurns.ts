import { type BlockId, blockId } from '#core/base'
import type { Database } from '../db/database'
import {
  changesOf,
  dropChange,
  markChange,
  type NewChange,
  rowsOfChange,
  versionsLike,
} from '../db/queries/changes'
import type { Coach } from './signIn'

/* Undo and redo on the board, told from new changes of a plan. */

export type Changes = Awaited<ReturnType<typeof changesOf>>

const PLAN_STEPS = 12

interface PlanStep {
  readonly block: BlockId
  readonly before: number
  readonly after: number
}

/** The versions a change of a plan lies between; undefined where it touched something else besides. */
export async function planStep(
  db: Database,
  coach: Pick<Coach, 'id'>,
  id: string,
): Promise<PlanStep | undefined> {
  const rows = await rowsOfChange(db, coach.id, id)
  const [row] = rows
  if (rows.length !== 1 || row?.inTable !== 'blocks' || !row.before || !row.after) return undefined
  return {
    block: blockId(String(row.after.id)),
    before: Number(row.before.version),
    after: Number(row.after.version),
  }
}

/**
 * A plan that stands again as it did before the last changes is their undo, one that stands as after what was taken back
 * their redo: undo and redo on the board say nothing else. True where it was one.
 */
export async function isTurnOfSteps(tx: Database, change: NewChange): Promise<boolean> {
  const own = await planStep(tx, { id: change.coachId }, change.id)
  if (!own) return false
  const recent = (await changesOf(tx, change.coachId, change.clientId, PLAN_STEPS)).filter(
    ({ id, isPast }) => id !== change.id && !isPast,
  )
  const held = stackOf(recent)
  const back = await stepsOf(tx, change, held.done)
  const forth = await stepsOf(tx, change, held.undone)
  const among = [...back.map(({ step }) => step.before), ...forth.map(({ step }) => step.after)]
  const like = new Set(await versionsLike(tx, change.coachId, own.block, own.after, among))
  const undone = back.findIndex(({ step }) => step.block === own.block && like.has(step.before))
  const redone = forth.findIndex(({ step }) => step.block === own.block && like.has(step.after))
  if (undone < 0 && redone < 0) return false
  const turned = undone >= 0 ? back.slice(0, undone + 1) : forth.slice(0, redone + 1)
  for (const { id } of turned)
    await markChange(tx, change.coachId, id, undone >= 0 ? change.at : null)
  await dropChange(tx, change.coachId, change.id)
  return true
}

/** Changes that would be taken back next, and those that would be done again next. */
export function stackOf(changes: Changes): { readonly done: Changes; readonly undone: Changes } {
  const done = changes.filter(({ undoneAt }) => !undoneAt)
  const newest = done[0]?.seq ?? 0
  return {
    done,
    undone: changes
      .filter(({ undoneAt, isPast, seq }) => undoneAt && !isPast && seq > newest)
      .reverse(),
  }
}

/** Plan steps at the head of a stack, as far as nothing else comes between. */
async function stepsOf(tx: Database, { coachId }: NewChange, stack: Changes) {
  const steps: { readonly id: string; readonly step: PlanStep }[] = []
  for (const { id, kind } of stack) {
    const step = kind === 'plan' ? await planStep(tx, { id: coachId }, id) : undefined
    if (!step) break
    steps.push({ id, step })
  }
  return steps
}
