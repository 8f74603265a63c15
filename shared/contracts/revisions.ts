import { type BlockId, blockId } from '#core/base'
import { z } from 'zod'
import { PlanContract } from './plan'
import { LIMITS } from './limits'

export const RevisionParams = z.object({
  blockId: z.uuid().transform((text): BlockId => blockId(text)),
  version: z.coerce.number().int().min(1),
})

/** The saves of a block, the newest first, each with what it changed against the one before. */
export const RevisionsView = z.object({
  revisions: z.array(
    z.object({
      version: z.int(),
      savedAt: z.iso.datetime(),
      name: z.string().nullable(),
      /** Sets that differ from the save before, day by day; days from 0. */
      changes: z.array(
        z.object({ day: z.int(), exercise: z.string(), before: z.number(), after: z.number() }),
      ),
      isOther: z.boolean(),
      /** What was decided in the review that this save came of, and by whom. */
      decided: z.array(z.object({ words: z.string(), by: z.string() })),
    }),
  ),
})
export type RevisionsView = z.output<typeof RevisionsView>

export const RevisionView = z.object({ plan: PlanContract })
export const NameRevisionBody = z.strictObject({
  name: z.string().trim().min(1).max(LIMITS.name).nullable(),
})
