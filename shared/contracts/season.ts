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
