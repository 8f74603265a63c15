import { contextWith, methodById, METHODS, type PlanContext } from '#core/plan/method'
import { z } from 'zod'
import { ClientFactsContract } from './client'
import { PlanContract } from './plan'

/** Names of the methods that come with the program. */
const methodId = z.enum(METHODS.map(({ id }) => id) as [string, ...string[]])

/** A plan with what it is computed with; what is left out is the built-in default (docs/formats.md). */
export const PlanFile = z.strictObject({
  plan: PlanContract,
  client: ClientFactsContract.exactOptional(),
  method: methodId.exactOptional(),
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
