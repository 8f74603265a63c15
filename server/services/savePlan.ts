import { type BlockId, failure, type Result, success } from '#core/base'
import type { PlanDocument } from '#core/block'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { blockOf, savePlanOver } from '../db/queries/blocks'
import type { Coach } from './signIn'

/** Saves a plan if it was made from the newest version; else says what the newest is and writes nothing. */
export async function savePlan(coach: Coach, save: { blockId: BlockId, version: number, plan: PlanDocument }): Promise<Result<{ version: number, savedAt: string }, Problem>> {
  const db = database()
  const saved = await savePlanOver(db, { coachId: coach.id, ...save })
  if (saved) return success({ version: saved.version, savedAt: saved.savedAt.toISOString() })
  const current = await blockOf(db, coach.id, save.blockId)
  if (!current) return failure({ kind: 'not-found', what: 'block' })
  return failure({ kind: 'stale-version', current: { ...current, savedAt: current.savedAt.toISOString() } })
}
