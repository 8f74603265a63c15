import type { PlainDate } from '#core/base'
import type { Season } from '#core/follow/season'
import { z } from 'zod'
import type { MeasurementView } from './history'

/** A client's line of blocks, with what was measured meanwhile. */
export interface SeasonView {
  readonly name: string
  readonly today: PlainDate
  readonly season: Season
  /** The block of today; null where there is none. */
  readonly current: string | null
  readonly girths: readonly z.output<typeof MeasurementView>[]
}
export const SeasonAnswer = z.custom<SeasonView>(
  value => typeof value === 'object' && value !== null,
)

/** A seam one rotation later or earlier. */
export const SeamBody = z.strictObject({ by: z.union([z.literal(1), z.literal(-1)]) })
/** How many blocks it moved or resized. */
export const SeamMoved = z.object({ moved: z.int() })
/** The version of the plan that a softer start was shown for. */
export const SoftStartBody = z.strictObject({ version: z.int() })
export const SoftStartTaken = z.object({ version: z.int() })
/** How a block could begin lower, and what that does; null where there is nothing to soften. */
export const SoftStartView = z.object({
  version: z.int(),
  offer: z
    .object({ words: z.string(), effects: z.array(z.string()), isEnough: z.boolean() })
    .nullable(),
})
