import { clientId } from '#core/base'
import { CARRIED_PARTS, type CarriedPlan, MOST_PASSES } from '#core/plan/block'
import { ROTATION_LENGTH } from '#core/plan/rotation'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { LIMITS } from './limits'
import { BlockPlanContract, RotationDayContract } from './plan'

const name = z.string().trim().min(1).max(LIMITS.name)
const reason = z.string().trim().max(LIMITS.longText)

/** A rotation or a block that can be given to many clients (docs/formats.md#templates-of-plans). */
export const CarriedPlanContract = z
  .strictObject({
    days: z.array(RotationDayContract).min(ROTATION_LENGTH.min).max(ROTATION_LENGTH.max).readonly(),
    method: z.string().min(1).max(LIMITS.name),
    usualSets: z.number().min(1).max(20),
    passes: z.int().min(1).max(MOST_PASSES).exactOptional(),
    block: BlockPlanContract.unwrap()
      .pick({ ramps: true, effort: true, failure: true, repWave: true, deloads: true })
      .readonly()
      .exactOptional(),
  })
  .readonly()
export type SameCarriedPlan = Proven<Equal<z.output<typeof CarriedPlanContract>, CarriedPlan>>

export const PlanTemplate = z.object({
  id: z.uuid(),
  name,
  reason,
  /** Counts from 1, one more whenever its content is replaced. */
  version: z.int().min(1),
  content: CarriedPlanContract,
})
export type PlanTemplate = z.output<typeof PlanTemplate>
/** The coach's own rotations and blocks, the newest first. */
export const PlanTemplatesView = z.object({ templates: z.array(PlanTemplate) })

export const PlanTemplateParams = z.object({ planTemplateId: z.uuid() })
/** What keeping a plan takes: its block, and what of it. */
export const KeepPlanBody = z.strictObject({
  name,
  reason,
  block: z.uuid(),
  part: z.enum(CARRIED_PARTS),
})
export type KeepPlanBody = z.output<typeof KeepPlanBody>
/** Another name, other words. */
export const RenameTemplateBody = z.strictObject({ name, reason })
export type RenameTemplateBody = z.output<typeof RenameTemplateBody>
/** A plan that takes the place of a template's content. */
export const ReplaceTemplateBody = KeepPlanBody.pick({ block: true, part: true })
export type ReplaceTemplateBody = z.output<typeof ReplaceTemplateBody>
export const TemplateSinceParams = PlanTemplateParams.extend({
  version: z.coerce.number().int().min(1),
})
/** A template as it was in a version and as it is now; null where nothing changed, or the version is not known any more. */
export const TemplateSinceView = z.object({
  name,
  version: z.int(),
  contents: z.object({ before: CarriedPlanContract, after: CarriedPlanContract }).nullable(),
})
export type TemplateSinceView = z.output<typeof TemplateSinceView>
export const KeptTemplate = z.object({ id: z.uuid() })

/** A template as a file, to be taken into another studio. */
export const PlanTemplateFile = z.strictObject({
  format: z.literal('tholepin-template', 'must be tholepin-template: a file made with “Export”'),
  version: z.literal(1, 'must be 1; a newer program made this file'),
  name,
  reason,
  content: CarriedPlanContract,
})
export type PlanTemplateFile = z.output<typeof PlanTemplateFile>

/** Giving a plan to a client: from a block or a template, to look at first or for good. */
export const CarryBody = z.strictObject({
  from: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('block'), id: z.uuid(), part: z.enum(CARRIED_PARTS) }),
    z.strictObject({ kind: z.literal('template'), id: z.uuid() }),
  ]),
  isTrial: z.boolean(),
})
export type CarryBody = z.output<typeof CarryBody>
/** What a client would get, or got. */
export const CarryAnswer = z.object({
  /** The block it goes into. */
  block: z.string(),
  /** Why it fits as it does, and every difference, one line each. */
  reasons: z.array(z.string()),
  changes: z.array(z.string()),
  sessions: z.int(),
})
export type CarryAnswer = z.output<typeof CarryAnswer>
export const CarryParams = z.object({ clientId: z.uuid().transform(clientId) })
