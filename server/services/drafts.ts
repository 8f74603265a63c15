import { randomUUID } from 'node:crypto'
import { type BlockId, failure, type Result, success } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { fittedDraft, fittedLine } from '#core/design/progress'
import type { DraftBody, DraftMadeBody } from '#shared/contracts/block'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { serverToday } from '../clock'
import { database } from '../db/database'
import { openBlock } from '../db/queries/blockSessions'
import { blocksOf } from '../db/queries/blocks'
import { withWeightsOfLog } from './blocks'
import { savePlan } from './savePlan'
import { seasonContext } from './season'
import type { Coach } from './signIn'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'block' }
const NO_DRAFT: Problem = {
  kind: 'invalid',
  errors: [
    {
      pointer: '/version',
      kind: 'custom',
      detail: 'This block is a plan already. Change it on its own pages.',
    },
  ],
}

async function heldDraft(coach: Coach, blockId: BlockId) {
  const db = database()
  const owner = await openBlock(db, coach.id, blockId)
  if (!owner) return failure(NOT_FOUND)
  const [line, context] = await Promise.all([
    blocksOf(db, coach.id, owner.clientId),
    seasonContext(coach, owner.clientId, serverToday()),
  ])
  if (!context.ok) return context
  const fitted = fittedLine(line, context.value)
  const at = fitted.findIndex(({ id }) => id === blockId)
  const [before, draft] = [fitted[at - 1]?.plan, line.find(({ id }) => id === blockId)?.plan]
  if (!draft) return failure(NOT_FOUND)
  if (!draft.draft) return failure(NO_DRAFT)
  return success({ clientId: owner.clientId, before, draft, context: context.value })
}

/** Keeps what is decided of a draft: what comes first, and the sets it goes to. */
export async function decideDraft(
  coach: Coach,
  blockId: BlockId,
  { version, modes, ends, baseWeeks }: z.output<typeof DraftBody>,
): Promise<Result<{ version: number }, Problem>> {
  const held = await heldDraft(coach, blockId)
  if (!held.ok) return held
  const { emphasis: _, ...draft } = held.value.draft
  const plan: PlanDocument = {
    ...draft,
    ...(Object.keys(modes).length > 0 && { emphasis: modes }),
    draft: {
      ...(Object.keys(ends).length > 0 && { ends }),
      ...(baseWeeks !== null && { baseWeeks }),
    },
  }
  return savePlan(coach, { blockId, version, plan })
}

/** Makes a draft a plan: its exercises are those of the block before as they are now, with the weights the log says. */
export async function planFromDraft(
  coach: Coach,
  blockId: BlockId,
  { version }: z.output<typeof DraftMadeBody>,
): Promise<Result<{ version: number }, Problem>> {
  const held = await heldDraft(coach, blockId)
  if (!held.ok) return held
  const { clientId, before, draft, context } = held.value
  const fitted = before
    ? fittedDraft(
        await withWeightsOfLog(coach, clientId, before, draft.startsOn),
        draft,
        context,
        randomUUID,
      )
    : draft
  const { draft: _, ...plan } = fitted
  return savePlan(coach, { blockId, version, plan })
}
