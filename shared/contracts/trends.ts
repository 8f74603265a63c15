import type { Group } from '#core/plan/catalogue'
import type { ExclusionReason, SetUpChange } from '#core/body/log'
import type { BandPoint } from '#core/body/trend'
import type { SaidTrend } from '#core/words'
import type { CourseArrival, CourseRow, Density } from '#core/follow/review'
import type { PlainDate } from '#core/base'
import { z } from 'zod'
import type { MeasurementKind } from '#core/body/measurements'

/** An exercise with its estimates and what they support saying. Weeks of the line are counted from the first day. */
export interface ExerciseCourse {
  readonly exercise: string
  readonly name: string
  readonly group: Group | null
  readonly points: readonly {
    readonly on: PlainDate
    readonly value: number
    readonly leftOut: ExclusionReason | null
  }[]
  /** Days from which it was set up otherwise; the trend begins a line of its own on each. */
  readonly setUps: readonly SetUpChange[]
  readonly trend: SaidTrend
  readonly line: readonly (Omit<BandPoint, 'week'> & { readonly on: PlainDate })[]
}

/** Where a client is going, and what lies behind it. */
export interface TrendsView {
  readonly name: string
  readonly exercises: readonly ExerciseCourse[]
  readonly volume: readonly CourseRow[]
  readonly readiness: readonly CourseArrival[]
  readonly density: readonly Density[]
  readonly measurements: readonly {
    readonly on: PlainDate
    readonly kind: MeasurementKind
    readonly value: number
  }[]
}
export const TrendsAnswer = z.custom<TrendsView>(
  value => typeof value === 'object' && value !== null,
)
