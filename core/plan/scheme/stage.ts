import type { Exercise } from '../catalogue'
import type { SetUp } from './setUp'

/*
 * A set is a short list of stages. In every type here a key that is left out means "not given":
 * that is a value of its own, different from zero and from a default, and every sum that needs it says so.
 */

export const GRIPS = ['supinated', 'neutral', 'pronated', 'angled', 'turning'] as const
export type Grip = (typeof GRIPS)[number]

export const GRIP_WIDTHS = ['narrow', 'medium', 'wide'] as const
export type GripWidth = (typeof GRIP_WIDTHS)[number]

export const FORMS = ['strict', 'momentum', 'assisted', 'lowering_only'] as const
export type Form = (typeof FORMS)[number]

export const LOCK_OUTS = ['hard', 'soft', 'never'] as const
export type LockOut = (typeof LOCK_OUTS)[number]

export const LOAD_BASES = ['total', 'per_side', 'per_hand', 'added', 'assisted', 'stack'] as const
export type LoadBasis = (typeof LOAD_BASES)[number]

/** How a weight is meant where it is named for an exercise that is loaded so. */
export const USUAL_BASIS: Readonly<Record<Exercise['loadBasis'], LoadBasis>> = {
  total: 'total',
  per_hand: 'per_hand',
  stack: 'stack',
  added: 'added',
  counterweight: 'assisted',
  band: 'total',
  angle: 'total',
}

export const WEIGHT_UNITS = ['kg', 'lb'] as const
export type WeightUnit = (typeof WEIGHT_UNITS)[number]

/** A number of seconds, or the ends of a range of them. */
export type Span = number | { readonly low: number; readonly high: number }

/** How many repetitions (seconds, for exercises that are counted in seconds). */
export type Reps =
  /** `intended` is what an attempt was meant to be: 2.5 of 3. */
  | { readonly kind: 'exactly'; readonly count: number; readonly intended?: number }
  | { readonly kind: 'between'; readonly low: number; readonly high: number }
  /** No more than this; fewer are fine. */
  | { readonly kind: 'up_to'; readonly high: number }
  /** Until no further rep is possible; `low` and `high` say where failure should fall. */
  | { readonly kind: 'to_failure'; readonly low?: number; readonly high?: number }
  /** As many as an earlier stage of the set, counted from 0. */
  | { readonly kind: 'same_as'; readonly stage: number }
  /** Short bouts with the rest before this stage between them, until the set holds `total` reps. */
  | { readonly kind: 'until_total'; readonly total: number }
  /** Known in the first and the last set of the run, open between them. */
  | { readonly kind: 'first_to_last'; readonly first: number; readonly last: number }

/** What is lifted. On a stage after the first one, no load means the load of the stage before. */
export type Load =
  | {
      readonly kind: 'weight'
      readonly amount: number
      readonly unit: WeightUnit
      readonly basis: LoadBasis
    }
  | { readonly kind: 'stack_position'; readonly position: number }
  | { readonly kind: 'percent_of_e1rm'; readonly percent: number }
  | { readonly kind: 'percent_of_usual'; readonly percent: number }
  | { readonly kind: 'drop_percent'; readonly percent: number; readonly from: 'first' | 'previous' }
  | {
      readonly kind: 'drop_weight'
      readonly amount: number
      readonly unit: WeightUnit
      readonly from: 'first' | 'previous'
    }
  /** Lighter than the stage before, by how much is left to the client. */
  | { readonly kind: 'drop_open' }
  /** Heavier or lighter than the set before. */
  | { readonly kind: 'than_before'; readonly direction: 'heavier' | 'lighter' }
  | { readonly kind: 'bodyweight' }
  | { readonly kind: 'band'; readonly name: string }
  | {
      readonly kind: 'in_words'
      readonly text: string
      readonly atMost?: { readonly amount: number; readonly unit: WeightUnit }
    }

/** How near to failure a stage ends. */
export type Effort =
  | { readonly kind: 'rir'; readonly rir: number }
  | { readonly kind: 'failure' }
  | { readonly kind: 'in_words'; readonly text: string }

/** What of the movement is done: 0 is where the handle or the body is lowest, 1 where it is highest. */
export type RangeOfMotion =
  | { readonly kind: 'part'; readonly from: number; readonly to: number }
  | { readonly kind: 'landmark'; readonly text: string }
  /** Full while it lasts; the last reps may be cut short. */
  | { readonly kind: 'may_shorten' }

export const TEMPO_WORDS = ['slow', 'controlled', 'quick'] as const

/** Pace of one rep: lower, wait at the long end, lift, wait at the short end. */
export interface Tempo {
  readonly lower?: Span
  readonly longPause?: Span
  readonly lift?: Span
  readonly shortPause?: Span
  /** Seconds waited part-way. */
  readonly midPause?: Span
  readonly word?: (typeof TEMPO_WORDS)[number]
  /** The load comes to rest on a support in every rep. */
  readonly deadStop?: true
}

/** A pause at any of the five levels: in a set, between partners, after a set or round, between exercises, between muscles. */
export type Rest =
  | { readonly kind: 'seconds'; readonly seconds: number }
  | { readonly kind: 'between'; readonly low: number; readonly high: number }
  | { readonly kind: 'none' }
  | { readonly kind: 'in_words'; readonly text: string }
  | { readonly kind: 'stretch'; readonly seconds: number }

export interface WorkStage {
  readonly kind: 'work'
  readonly reps?: Reps
  /** Whether a number of alternating reps is meant for both arms together; per arm when left out. */
  readonly repsInAll?: true
  readonly load?: Load
  readonly effort?: Effort
  /** Full when left out. */
  readonly range?: RangeOfMotion
  readonly tempo?: Tempo
  readonly form?: Form
  /** How straight the joint gets under load at the end of a rep. */
  readonly lockOut?: LockOut
  readonly grip?: Grip
  readonly gripWidth?: GripWidth
  /** Thumb beside the fingers instead of round the bar. */
  readonly thumbless?: true
  /** Where the body, the bench or the pulley is. */
  readonly position?: string
  /** Bench angle, cable height, seat, stance and the like, as values. */
  readonly setUp?: SetUp
  /** Handle or rope, where it differs from the exercise's own. */
  readonly attachment?: string
  /** Another movement or station; the slot's own when left out. */
  readonly exercise?: { readonly id: string; readonly intent: string | null }
  readonly optional?: boolean
  readonly onlyIf?: string
}

export const HOLD_POSITIONS = ['lengthened', 'mid', 'shortened'] as const

export interface HoldStage {
  readonly kind: 'hold'
  readonly seconds?: number
  readonly at: (typeof HOLD_POSITIONS)[number]
}

export interface RestStage {
  readonly kind: 'rest'
  readonly rest: Rest
}

/** One step of a set. */
export type Stage = WorkStage | HoldStage | RestStage
