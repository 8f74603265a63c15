import {
  type BlockId,
  blockId as blockIdOf,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { blockState } from '#core/plan/block'
import { seamMoved, type SoftStart, softStart } from '#core/follow/season'
import { seamStopWords, softStartEffects, softStartWords } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { SeamBody, SoftStartBody, SoftStartView } from '#shared/contracts/season'
import type { z } from 'zod'
import { asOneTransaction, database } from '../db/database'
import { openBlock, sentPasses } from '../db/queries/blockSessions'
import { blocksOf, lockBlocks, savePlanOver } from '../db/queries/blocks'
import { savePlan } from './savePlan'
import { seasonContext } from './season'
import type { Coach } from './signIn'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'block' }
const refused = (pointer: string, detail: string): Problem => ({
  kind: 'invalid',
  errors: [{ pointer, kind: 'custom', detail }],
})

/** A seam moved by one rotation; every block that goes along is saved, or none. */
export async function moveSeam(
  coach: Coach,
  blockId: BlockId,
  { by }: z.output<typeof SeamBody>,
  today: PlainDate,
): Promise<Result<{ moved: number }, Problem>> {
  const owner = await openBlock(database(), coach.id, blockId)
  if (!owner) return failure(NOT_FOUND)
  return asOneTransaction(async db => {
    await lockBlocks(db, coach.id, owner.clientId)
    const line = await blocksOf(db, coach.id, owner.clientId)
    const sent = await sentPasses(db, coach.id, owner.clientId)
    const moved = seamMoved(line, blockId, by, { today, sent })
    if (!moved.ok) return failure(refused('/by', seamStopWords(moved.error)))
    const versions = new Map<string, number>(line.map(({ id, version }) => [id, version]))
    for (const { id, plan } of moved.value)
      await savePlanOver(db, {
        coachId: coach.id,
        blockId: blockIdOf(id),
        version: versions.get(id) ?? 0,
        plan,
      })
    return success({ moved: moved.value.length })
  })
}

interface Softer {
  readonly version: number
  readonly found: SoftStart | null
}

/** How a block ahead could begin lower; nothing where it has begun, or nothing is past a limit. */
async function softer(
  coach: Coach,
  blockId: BlockId,
  today: PlainDate,
): Promise<Result<Softer, Problem>> {
  const db = database()
  const owner = await openBlock(db, coach.id, blockId)
  if (!owner) return failure(NOT_FOUND)
  const [line, context] = await Promise.all([
    blocksOf(db, coach.id, owner.clientId),
    seasonContext(coach, owner.clientId, today),
  ])
  if (!context.ok) return context
  const at = line.findIndex(({ id }) => id === blockId)
  const [before, own] = [line[at - 1], line[at]]
  if (!own) return failure(NOT_FOUND)
  const isAhead = blockState(own.plan, today) === 'ahead'
  return success({
    version: own.version,
    found: before && isAhead ? softStart(before, own, context.value, line[at - 2]?.plan) : null,
  })
}

/** What a softer start would be, before it is taken. */
export async function softStartOf(
  coach: Coach,
  blockId: BlockId,
  today: PlainDate,
): Promise<Result<z.input<typeof SoftStartView>, Problem>> {
  const asked = await softer(coach, blockId, today)
  if (!asked.ok) return asked
  const { version, found } = asked.value
  return success({
    version,
    offer: found && {
      words: softStartWords(found.cuts),
      effects: [...softStartEffects(found)],
      isEnough: found.isEnough,
    },
  })
}

/** Takes the softer start into the plan, as one step. */
export async function takeSoftStart(
  coach: Coach,
  blockId: BlockId,
  { version }: z.output<typeof SoftStartBody>,
  today: PlainDate,
): Promise<Result<{ version: number }, Problem>> {
  const asked = await softer(coach, blockId, today)
  if (!asked.ok) return asked
  const { found } = asked.value
  if (!found)
    return failure(
      refused('/version', 'There is nothing to soften at this seam any more. Look at it again.'),
    )
  const saved = await savePlan(coach, { blockId, version, plan: found.plan })
  return saved.ok ? success({ version: saved.value.version }) : saved
}
