/*
 * A set is a short list of stages. In every type here a key that is left out means "not given":
 * that is a value of its own, different from zero and from a default, and every sum that needs it says so.
 */

export const GRIPS = ['supinated', 'neutral', 'pronated', 'angled'] as const
export type Grip = (typeof GRIPS)[number]

export const FORMS = ['strict', 'momentum', 'assisted', 'lowering_only'] as const
export type Form = (typeof FORMS)[number]

export const LOAD_BASES = ['total', 'per_side', 'per_hand', 'added', 'assisted', 'stack'] as const
export type LoadBasis = (typeof LOAD_BASES)[number]

/** How many repetitions (seconds, for exercises that are counted in seconds). */
export type Reps =
  | { readonly kind: 'exactly', readonly count: number }
  | { readonly kind: 'between', readonly low: number, readonly high: number }
  /** Until no further rep is possible; `low` and `high` say where failure should fall, `high` alone caps it. */
  | { readonly kind: 'to_failure', readonly low?: number, readonly high?: number }
  /** As many as an earlier stage of the set, counted from 0. */
  | { readonly kind: 'same_as', readonly stage: number }
  /** Short bouts with the rest before this stage between them, until the set holds `total` reps. */
  | { readonly kind: 'until_total', readonly total: number }

/** What is lifted. On a stage after the first one, no load means the load of the stage before. */
export type Load =
  | { readonly kind: 'weight', readonly amount: number, readonly unit: 'kg' | 'lb', readonly basis: LoadBasis }
  | { readonly kind: 'stack_position', readonly position: number }
  | { readonly kind: 'percent_of_e1rm', readonly percent: number }
  | { readonly kind: 'percent_of_usual', readonly percent: number }
  | { readonly kind: 'drop_percent', readonly percent: number, readonly from: 'first' | 'previous' }
  | { readonly kind: 'drop_weight', readonly amount: number, readonly unit: 'kg' | 'lb', readonly from: 'first' | 'previous' }
  | { readonly kind: 'bodyweight' }
  | { readonly kind: 'band', readonly name: string }
  | { readonly kind: 'in_words', readonly text: string }

/** How near to failure a stage ends. */
export type Effort =
  | { readonly kind: 'rir', readonly rir: number }
  | { readonly kind: 'failure' }
  | { readonly kind: 'in_words', readonly text: string }

/** Part of the range that is used: 0 is the longest, 1 the shortest length of the working muscle. */
export type RangeOfMotion =
  | { readonly kind: 'part', readonly from: number, readonly to: number }
  | { readonly kind: 'landmark', readonly text: string }

/** Seconds of one rep; lower, wait at the long end, lift, wait at the short end. */
export interface Tempo {
  readonly lower?: number
  readonly longPause?: number
  readonly lift?: number
  readonly shortPause?: number
}

/** A pause at any of the five levels: in a set, between partners, after a set or round, between exercises, between muscles. */
export type Rest =
  | { readonly kind: 'seconds', readonly seconds: number }
  | { readonly kind: 'between', readonly low: number, readonly high: number }
  | { readonly kind: 'none' }
  | { readonly kind: 'in_words', readonly text: string }
  | { readonly kind: 'stretch', readonly seconds: number }

export interface WorkStage {
  readonly kind: 'work'
  readonly reps?: Reps
  readonly load?: Load
  readonly effort?: Effort
  /** Full when left out. */
  readonly range?: RangeOfMotion
  readonly tempo?: Tempo
  readonly form?: Form
  readonly grip?: Grip
  readonly position?: string
  /** Another movement or station; the slot's own when left out. */
  readonly exercise?: { readonly id: string, readonly intent: string | null }
  readonly optional?: boolean
  readonly onlyIf?: string
}

export interface HoldStage {
  readonly kind: 'hold'
  readonly seconds?: number
  readonly at: 'lengthened' | 'mid' | 'shortened'
}

export interface RestStage {
  readonly kind: 'rest'
  readonly rest: Rest
}

/** One step of a set. */
export type Stage = WorkStage | HoldStage | RestStage
