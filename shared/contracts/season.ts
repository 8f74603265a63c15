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
export const SEAM_FIXES = ['soften', 'keep'] as const
export type SeamFix = (typeof SEAM_FIXES)[number]
/** A fix at the seam before a block, with the version of the plan that it was shown for. */
export const SeamFixBody = z.strictObject({ fix: z.enum(SEAM_FIXES), version: z.int() })
export const SeamFixTaken = z.object({ version: z.int() })
/** What can be done at a seam, and what each does. */
export const SeamFixesView = z.object({
  version: z.int(),
  offers: z.array(
    z.object({
      fix: z.enum(SEAM_FIXES),
      words: z.string(),
      effects: z.array(z.string()),
      isEnough: z.boolean(),
    }),
  ),
})
