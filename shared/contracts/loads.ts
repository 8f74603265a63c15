import type { Exposure } from '#core/body/log'
import type { Slot } from '#core/plan/session'
import type { WeightUnit } from '#core/plan/scheme'
import { z } from 'zod'

/** What a client's loads are reckoned from besides plan and method, so that every page reckons them alike. */
export interface LoadsView {
  readonly unit: WeightUnit
  /** Latest weigh-in, kg; null where there is none. */
  readonly bodyKg: number | null
  /** What was done of each exercise, the oldest first. */
  readonly exposures: readonly (readonly [exercise: string, done: readonly Exposure[]])[]
  /** Slots as they were planned when they were last done in working days. */
  readonly lastPlanned: readonly Slot[]
}
export const LoadsAnswer = z.custom<LoadsView>(
  value => typeof value === 'object' && value !== null && 'exposures' in value,
)
