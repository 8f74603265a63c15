import type { TakenGap } from '../../body/times'
import type { LoggedSet, SessionState } from '../../body/log'
import type { DatedTrend } from '../../body/trend'
import type { ExerciseId, PlainDate } from '../../base'
import type { BlockSession, ExpandedBlock } from '../../design/progress'
import type { Trial } from '../../plan/block'
import type { Group } from '../../plan/catalogue'
import type { Band, PlanContext } from '../../plan/method'
import type { Adjustment } from './adjustment'
import type { MeantOtherwise } from './meant'

/** A session of the rotation with what came of it. */
export interface SessionOutcome {
  readonly day: number
  readonly place: number
  readonly state: SessionState
  readonly sets: readonly LoggedSet[]
  /** Rests and ways as taken, where the phone was along. */
  readonly gaps?: readonly TakenGap[]
  readonly minutes: number | null
  readonly isRecovered: boolean | null
}

export interface ReviewQuestion {
  readonly expanded: ExpandedBlock
  readonly pass: number
  readonly context: PlanContext
  /** Outcomes by pass: of the reviewed one, and of the one before where there was one. */
  readonly outcomes: ReadonlyMap<number, readonly SessionOutcome[]>
  readonly trends: readonly { readonly exercise: string; readonly trend: DatedTrend }[]
  /** Of each muscle, from all exercises that train it directly. */
  readonly muscles: ReadonlyMap<Group, DatedTrend>
  /** What is being tried out, over or not. */
  readonly trials?: readonly Trial[]
  /** When each exercise was done last; left out, nobody was away. */
  readonly lastDone?: readonly { readonly exercise: string; readonly on: PlainDate }[]
}

/** A muscle over the rotation. Units: counted sets per 7 days; `due` is what was planned for the sessions that are behind. */
export interface MuscleRow {
  readonly group: Group
  readonly planned: number
  readonly due: number
  readonly done: number
  readonly band: Band
  /** Sets over its ceiling as done, 0 or more (`overCeiling`). */
  readonly over: number
  /** Days in the rotation that train it. */
  readonly times: { readonly due: number; readonly done: number }
  /** Readiness at its least ready direct exposure, as due and as done; percent, null without one. */
  readonly readiness: { readonly due: number | null; readonly done: number | null }
}

/** An exercise over the rotation. Reps are of first parts of working sets; loads in kilograms. */
export interface ExerciseRow {
  readonly exercise: ExerciseId
  readonly setsDue: number
  readonly setsDone: number
  readonly topKg: number | null
  /** Where the plan names a weight. */
  readonly plannedKg: number | null
  readonly repsPlanned: number | null
  readonly repsDone: number | null
  readonly rirPlanned: number | null
  readonly rirDone: number | null
  /** What came out otherwise inside the sets than it was meant. */
  readonly otherwise: readonly MeantOtherwise[]
}

export interface PassReview {
  readonly pass: number
  readonly from: PlainDate
  readonly to: PlainDate
  readonly isDeload: boolean
  readonly muscles: readonly MuscleRow[]
  readonly exercises: readonly ExerciseRow[]
  readonly setsDue: number
  readonly setsDone: number
  readonly recovered: number
  readonly notRecovered: number
  /** Of the sessions whose minutes are known: what they took, and what they were reckoned at. */
  readonly minutes: { readonly done: number; readonly planned: number; readonly sessions: number }
  readonly missed: readonly BlockSession[]
  /** Sessions said to be recovered in which half of the sets fell short. */
  readonly contradictory: readonly string[]
  readonly adjustments: readonly Adjustment[]
}
