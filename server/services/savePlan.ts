import { isDeepStrictEqual } from 'node:util'
import { type BlockId, failure, type PlainDate, type Result, success } from '#core/base'
import {
  blockState,
  overlapOf,
  type PlanDocument,
  planEnd,
  unknownExercises,
} from '#core/plan/block'
import { formatDay } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { blockOf, blocksAround, savePlanOver } from '../db/queries/blocks'
import { blockExists } from '../db/queries/clients'
import { countEvent } from '../seen/metrics'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** Where a plan comes to lie over another block of the client; what lay so before, from older times, may be saved as it is. */
async function newOverlap(
  coach: Coach,
  { blockId, plan }: { readonly blockId: BlockId; readonly plan: PlanDocument },
  before: PlanDocument | undefined,
): Promise<Problem | undefined> {
  const db = database()
  if (!before || (before.startsOn === plan.startsOn && planEnd(before) === planEnd(plan)))
    return undefined
  const other = overlapOf(await blocksAround(db, coach.id, blockId), blockId, plan)
  if (!other || overlapOf([other], blockId, before)) return undefined
  return {
    kind: 'invalid',
    errors: [
      {
        pointer: '/plan/startsOn',
        kind: 'custom',
        detail: `${other.plan.title} lies from ${formatDay(other.plan.startsOn)} to ${formatDay(planEnd(other.plan))}. Move that one first, or take fewer rotations.`,
      },
    ],
  }
}

/** What may still be written of a block that is over: its name, what is noted of it, and what was looked at. */
const ALWAYS: ReadonlySet<string> = new Set(['title', 'closingNotes', 'dismissed', 'weighed'])

/** Where a block is over, what was planned in it stays as it was. */
function isHistory(before: PlanDocument, after: PlanDocument, today: PlainDate): boolean {
  if (blockState(before, today) !== 'behind') return false
  const [then, now] = [before, after] as unknown as Record<string, unknown>[]
  return Object.keys({ ...then, ...now }).some(
    key => !ALWAYS.has(key) && !isDeepStrictEqual(then?.[key], now?.[key]),
  )
}
const overSince = (plan: PlanDocument): Problem => ({
  kind: 'invalid',
  errors: [
    {
      pointer: '/plan',
      kind: 'custom',
      detail: `This block ended on ${formatDay(planEnd(plan))}: its sessions stay as they were. Change the block that runs, or write it down in the closing notes.`,
    },
  ],
})

/** Saves a plan if it was made from the newest version; else says what the newest is and writes nothing. With a day, what is over by then stays. */
export async function savePlan(
  coach: Coach,
  save: { blockId: BlockId; version: number; plan: PlanDocument },
  today?: PlainDate,
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
  const before = (await blockOf(db, coach.id, save.blockId))?.plan
  if (today && before && isHistory(before, save.plan, today)) return failure(overSince(before))
  const overlap = await newOverlap(coach, save, before)
  if (overlap) return failure(overlap)
  const saved = await savePlanOver(db, { coachId: coach.id, ...save })
  if (saved) {
    countEvent('plan_saves')
    return success({ version: saved.version, savedAt: saved.savedAt.toISOString() })
  }
  const current = await blockOf(db, coach.id, save.blockId)
  if (!current) return failure({ kind: 'not-found', what: 'block' })
  return failure({
    kind: 'stale-version',
    current: { ...current, savedAt: current.savedAt.toISOString() },
  })
}
