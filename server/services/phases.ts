import { type BlockId, failure, type PlainDate, type Result } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import type { PhaseBody } from '#shared/contracts/block'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { blockOf } from '../db/queries/blocks'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'

/** A plan in another phase, or in none; what comes first in it changes where that is said too. */
function inPhase(
  { phase: _, ...plan }: PlanDocument,
  { phase, modes = {} }: Pick<z.output<typeof PhaseBody>, 'phase' | 'modes'>,
): PlanDocument {
  const emphasis = { ...plan.emphasis, ...modes }
  return {
    ...plan,
    ...(phase && { phase }),
    ...(Object.keys(emphasis).length > 0 && { emphasis }),
  }
}

/** Says what stretch of training a block belongs to. A draft stays a draft; with a day, a block that is over by then stays as it was. */
export async function decidePhase(
  coach: Coach,
  blockId: BlockId,
  { version, ...said }: z.output<typeof PhaseBody>,
  today?: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const held = await blockOf(database(), coach.id, blockId)
  if (!held) return failure({ kind: 'not-found', what: 'block' })
  return savePlan(coach, { blockId, version, plan: inPhase(held.plan, said) }, today)
}
