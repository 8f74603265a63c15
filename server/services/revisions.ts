import { type BlockId, failure, type Result, success } from '#core/base'
import { planDifference, type PlanDocument } from '#core/plan/block'
import { adjustmentWords } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { RevisionsView } from '#shared/contracts/revisions'
import { database } from '../db/database'
import { decisionsOf } from '../db/queries/decisions'
import { nameRevision, revisionOf, revisionsOf } from '../db/queries/revisions'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** So many saves are listed; older ones stay in the database. */
const MOST = 60
const NOT_FOUND: Problem = { kind: 'not-found', what: 'block' }

/** The latest saves of a block, each with what it changed. */
export async function revisions(
  coach: Coach,
  blockId: BlockId,
): Promise<Result<RevisionsView, Problem>> {
  const db = database()
  const [rows, decided, { catalogue }] = await Promise.all([
    revisionsOf(db, coach.id, blockId, MOST + 1),
    decisionsOf(db, coach.id, blockId),
    studioSettings(db, coach.id),
  ])
  if (rows.length === 0) return failure(NOT_FOUND)
  return success({
    revisions: rows.slice(0, MOST).map(({ version, savedAt, name, plan }, at) => {
      const before = rows[at + 1]?.plan
      const { sets, isMore } = before ? planDifference(plan, before) : { sets: [], isMore: false }
      const own = decided
        .filter(one => one.version === version && one.decision === 'taken')
        .map(({ proposal, decidedBy }) => ({
          words: adjustmentWords(proposal, exercise => catalogue.get(exercise)?.name ?? exercise),
          by: decidedBy,
        }))
      return {
        version,
        savedAt: savedAt.toISOString(),
        name,
        isOther: isMore,
        decided: own,
        changes: sets.map(({ day, exercise, mine, theirs }) => ({
          day,
          exercise,
          before: theirs,
          after: mine,
        })),
      }
    }),
  })
}

/** One save as it was. */
export async function revision(
  coach: Coach,
  blockId: BlockId,
  version: number,
): Promise<Result<{ plan: PlanDocument }, Problem>> {
  const plan = await revisionOf(database(), coach.id, blockId, version)
  return plan ? success({ plan }) : failure(NOT_FOUND)
}

/** Gives a save a name. */
export async function name(
  coach: Coach,
  blockId: BlockId,
  version: number,
  called: string | null,
): Promise<Result<{ isDone: true }, Problem>> {
  return (await nameRevision(database(), coach.id, blockId, version, called))
    ? success({ isDone: true })
    : failure(NOT_FOUND)
}
