import { contextWith, methodById, METHODS, type PlanContext } from '#core/plan/method'
import { z } from 'zod'
import { WEIGHT_UNITS } from '#core/plan/scheme'
import { ClientFactsContract } from './client'
import { DocumentSet } from './clientDocument'
import { PlainDateContract, PlanContract, SessionContract } from './plan'

/** Names of the methods that come with the program. */
const methodId = z.enum(METHODS.map(({ id }) => id) as [string, ...string[]])

/** A set of the log: as in the client export, with what a load needs. */
const FileSet = DocumentSet.omit({ at: true, entryId: true, unit: true }).extend({
  slot: DocumentSet.shape.slot.default(null),
  intent: DocumentSet.shape.intent.default(null),
  stage: DocumentSet.shape.stage.default(1),
  side: DocumentSet.shape.side.default(null),
  role: DocumentSet.shape.role.default('working'),
  seconds: DocumentSet.shape.seconds.default(null),
  rir: DocumentSet.shape.rir.default(null),
  isRirOpen: DocumentSet.shape.isRirOpen.default(false),
  at: DocumentSet.shape.at.optional(),
  unit: DocumentSet.shape.unit.optional(),
  entryId: DocumentSet.shape.entryId.optional(),
})

/** A session of the log; sessions of a client export can be put in as they are. */
export const FileSession = z.looseObject({
  on: PlainDateContract,
  prescribed: SessionContract.optional(),
  sets: z.array(FileSet).max(400),
  /** Whether it was begun recovered, as the client said it: yes or no, or 0 to 10. */
  isRecovered: z.boolean().nullable().optional(),
  recovery: z.int().min(0).max(10).nullable().optional(),
})

/** A plan with what it is computed with; what is left out is the built-in default (docs/formats.md). */
export const PlanFile = z.strictObject({
  plan: PlanContract,
  client: ClientFactsContract.exactOptional(),
  method: methodId.exactOptional(),
  /** The client's own unit. */
  unit: z.enum(WEIGHT_UNITS).exactOptional(),
  weighIns: z
    .array(z.strictObject({ on: PlainDateContract, kg: z.number().min(20).max(400) }))
    .max(2000)
    .exactOptional(),
  /** What was done, in the shape of the client export. */
  log: z.array(FileSession).max(5000).exactOptional(),
})
export type PlanFile = z.output<typeof PlanFile>

/** Training age of a client about whom a file says nothing: one to three years. */
const USUAL_MONTHS = 24

/** The context a plan file is computed in. */
export function contextOf({ client, method }: PlanFile): PlanContext {
  return contextWith(methodById(method), client ?? { trainingAgeMonths: USUAL_MONTHS })
}

/** JSON Schema (2020-12) of a plan file, from the side that is written. */
export function planFileSchema(): object {
  return {
    title: 'Tholepin plan file',
    ...z.toJSONSchema(PlanFile, { io: 'input', unrepresentable: 'any', reused: 'ref' }),
  }
}
