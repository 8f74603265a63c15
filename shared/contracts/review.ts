import { clientId, type PlainDate } from '#core/base'
import type { Verdict } from '#core/log'
import type { PassReview } from '#core/review'
import { z } from 'zod'

/** Which rotation: by its number from 0, or the one that was trained last. */
export const ReviewParams = z.object({ clientId: z.uuid().transform(clientId), pass: z.union([z.literal('latest'), z.coerce.number().int().min(0).max(59)]) })

/** A rotation reviewed, with what was decided about it and what else there is to look at. */
export interface ReviewView {
  readonly name: string
  readonly block: { readonly id: string, readonly title: string, readonly version: number, readonly passes: number }
  readonly review: PassReview
  /** Proposals that were not refused in this block, by their keys; and those already decided. */
  readonly open: readonly string[]
  readonly decisions: readonly { readonly id: string, readonly pass: number, readonly key: string, readonly words: string, readonly decision: 'taken' | 'refused', readonly reason: string, readonly version: number | null, readonly by: string, readonly at: string }[]
  readonly pains: readonly { readonly words: string, readonly on: string }[]
  readonly notes: readonly { readonly text: string, readonly session: string }[]
  readonly isNextSent: boolean
  /** Sessions that were missed and not let go yet. */
  readonly missed: readonly { readonly id: string, readonly name: string, readonly on: PlainDate }[]
  /** Where the exercises of the client are going. */
  readonly trends: readonly { readonly exercise: string, readonly verdict: Verdict, readonly slope: number, readonly error: number | null, readonly count: number, readonly spanWeeks: number }[]
}
export const ReviewAnswer = z.custom<ReviewView>(value => typeof value === 'object' && value !== null)

/** What the coach makes of a proposal; taking it changes the plan of the version she saw. */
export const DecideBody = z.strictObject({ key: z.string().min(1).max(100), decision: z.enum(['taken', 'refused']), reason: z.string().trim().max(500), version: z.int().min(1) })
export const DecideAnswer = z.object({ version: z.int() })
