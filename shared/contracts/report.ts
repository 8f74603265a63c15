import type { PlainDate } from '#core/base'
import type { Group } from '#core/plan/catalogue'
import type { CourseRow } from '#core/follow/review'
import { z } from 'zod'
import type { ExerciseCourse } from './trends'
import type { MeasurementKind } from '#core/body/measurements'

/** A block told to the client: what was planned, done and changed. */
export interface ReportView {
  readonly name: string
  readonly title: string
  readonly from: PlainDate
  readonly to: PlainDate
  readonly sessionsDone: number
  readonly sessionsDue: number
  readonly setsDone: number
  readonly setsDue: number
  readonly volume: readonly CourseRow[]
  readonly exercises: readonly ExerciseCourse[]
  /** Pain told in it: how often, and the worst from 0 to 10. */
  readonly pain: { readonly reports: number; readonly worst: number }
  /** What was decided on the way, in the order it was. */
  readonly changes: readonly { readonly on: string; readonly words: string; readonly why: string }[]
  readonly measured: readonly {
    readonly kind: MeasurementKind
    readonly first: number
    readonly last: number
  }[]
  /** Where the strength of arm muscles went within the block alone. Units: share a week; an endless error is none. */
  readonly muscles: readonly {
    readonly group: Group
    readonly slope: number
    readonly error: number | null
    readonly count: number
  }[]
  /** Muscles the block was meant to build up. */
  readonly built: readonly Group[]
}
export const ReportAnswer = z.custom<ReportView>(
  value => typeof value === 'object' && value !== null,
)
