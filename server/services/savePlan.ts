import { type BlockId, failure, type Result, success } from '#core/base'
import { type PlanDocument, unknownExercises } from '#core/plan/block'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { blockOf, savePlanOver } from '../db/queries/blocks'
import { blockExists } from '../db/queries/clients'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** Saves a plan if it was made from the newest version; else says what the newest is and writes nothing. */
export async function savePlan(
  coach: Coach,
  save: { blockId: BlockId; version: number; plan: PlanDocument },
): Promise<Result<{ version: number; savedAt: string }, Problem>> {
  const db = database()
  const { catalogue } = await studioSettings(db, coach.id)
  const unknown = unknownExercises(save.plan, catalogue)
  // Ownership decides first: another coach's block is absent, whatever its plan names.
  if (unknown.length > 0 && (await blockExists(db, coach.id, save.blockId)))
    return failure({
      kind: 'invalid',
      errors: unknown.map(({ day, exercise }) => ({
        pointer: day === null ? '/plan/oneOffs' : `/plan/rotation/days/${day}`,
        kind: 'custom',
        detail: `${day === null ? 'A single date or a kept version' : `Day ${day + 1}`} names the exercise ${JSON.stringify(exercise)}, which your library does not have. Choose another.`,
      })),
    })
  const saved = await savePlanOver(db, { coachId: coach.id, ...save })
  if (saved) return success({ version: saved.version, savedAt: saved.savedAt.toISOString() })
  const current = await blockOf(db, coach.id, save.blockId)
  if (!current) return failure({ kind: 'not-found', what: 'block' })
  return failure({
    kind: 'stale-version',
    current: { ...current, savedAt: current.savedAt.toISOString() },
  })
}
