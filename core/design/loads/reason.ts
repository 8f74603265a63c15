import type { WeightUnit } from '../../plan/scheme'
import type { DoneSet } from '../progress'
import type { ShapeLoss } from './spread'

/** Why a load is what it is. Loads in the unit of the exercise, as they are said. */
export type LoadReason =
  | { readonly kind: 'as_planned' | 'new_plan' | 'sore' | 'easier' | 'of_one_rep' }
  | {
      readonly kind: 'same' | 'up' | 'down'
      readonly before: number
      readonly done: readonly DoneSet[]
    }
  | { readonly kind: 'by_set'; readonly raised: number }
  | { readonly kind: 'away'; readonly days: number; readonly share: number }
  | { readonly kind: 'left_out'; readonly days: number; readonly share: number }
  | { readonly kind: 'new_start'; readonly days: number }
  | { readonly kind: 'step'; readonly step: 'up' | 'down' }
  | { readonly kind: 'other_reps'; readonly before: number; readonly reps: number }
  | { readonly kind: 'most'; readonly most: number }

export interface SetLoad {
  /** null where nothing says a number. */
  readonly amount: number | null
  /** Reps to aim at; null where the plan's own stand. */
  readonly target: number | null
}

/** Loads of an exercise in one session. Units: `unit`. */
export interface SlotLoads {
  readonly unit: WeightUnit
  /** Every set that is no warm-up, in order. */
  readonly sets: readonly SetLoad[]
  /** The set the rule is about; -1 where there is none. */
  readonly reference: number
  /** What later parts of a set that name a weight have gone up by, since they were named. */
  readonly shift: number
  readonly reason: LoadReason
  readonly from: 'log' | 'plan'
  /** How much more than the time before, as a share, where that is more than usual. */
  readonly jump: number | null
  readonly loss: ShapeLoss | null
}
