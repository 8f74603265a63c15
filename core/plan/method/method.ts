import type { LongSetKind, Span } from '../scheme'
import type { CountingSchool } from './school'

export const LOAD_PROGRESSIONS = [
  'double_progression',
  'top_set_back_off',
  'fixed_load_add_reps',
  'load_from_rir',
  'held',
] as const
export type LoadProgression = (typeof LOAD_PROGRESSIONS)[number]

/** A setting that moves from the first to the last working week of a block. */
interface FromTo {
  readonly from: number
  readonly to: number
}
type Ends = readonly [low: number, high: number]

/** Rules of order within a session that a method can leave alone. */
export const ORDER_RULES = ['compounds', 'lead', 'grip', 'exhausting', 'stretch'] as const
export type OrderRule = (typeof ORDER_RULES)[number]
/** Every rule of order is told, but for the one that some methods ask for: long length in every session. */
export const USUAL_WATCH: Readonly<Record<OrderRule, 'told' | 'left'>> = {
  compounds: 'told',
  lead: 'told',
  grip: 'told',
  exhausting: 'told',
  stretch: 'left',
}

/**
 * Settings on which experienced coaches differ. A client follows one method, adjusted where needed.
 *
 * Units:  seconds, sets per 7 days, RIR; percent where the name says so.
 * Source: docs/methods.md#schools. A preset is complete: nothing is inherited.
 */
export interface Method {
  readonly id: string
  readonly name: string
  readonly suits: string
  readonly school: CountingSchool
  /** What sets that are not plain work count for, in every school. */
  readonly counts: {
    /** Build-up sets before a top set: nothing, or like working sets. */
    readonly buildUp: 'nothing' | 'whole'
    /** A restricted-flow set of four stages: as about three sets, or as one. */
    readonly restricted: 'by_stage' | 'as_one'
    /** A long set (drops, pauses, grips): as one, or each part that stands by itself. Schools that weigh sets go by their own. */
    readonly long: 'as_one' | 'by_parts'
    /** Most in reserve with which a set still counts. Schools that weigh effort go by that. */
    readonly easiest: number
  }
  readonly dose: {
    /** Multiplies floor, target and ceiling, after the conversion to the school. */
    readonly bandScale: number
    readonly setsPerExercise: Ends
    /** A day with fewer fractional sets of a group is no exposure. */
    readonly minSetsPerExposure: number
    /** Fractional sets of an arm group in one session. */
    readonly maxSetsPerExposure: number
    /** Exposures per 7 days of arm groups in build. */
    readonly frequencyMin: number
  }
  readonly effort: {
    /** RIR to count with where the plan gives none; shown as assumed. */
    readonly defaultRir: number
    readonly rirCompound: FromTo
    readonly rirIsolation: FromTo
    /** Single-joint work only. */
    readonly lastSetToFailure: 'never' | 'always' | { readonly fromWeek: number }
    /** Extended sets per group and session. */
    readonly extendedMax: number
    readonly extendedKinds: readonly LongSetKind[]
    readonly restricted: boolean
  }
  readonly rest: {
    readonly compoundHeavy: number
    readonly compound: number
    readonly isolation: number
    readonly compoundMin: number
    readonly isolationMin: number
  }
  readonly pairing: {
    readonly mode: 'straight' | 'alternating' | 'superset'
    readonly circuits: boolean
    readonly inside: number
    readonly after: number
  }
  readonly order: {
    readonly first: 'heavy' | 'primer'
    readonly armPlacement: 'ownDay' | 'finisher' | 'both'
    readonly overhead: 'early' | 'late' | 'any'
    readonly forearms: 'armDay' | 'pullDay' | 'ownSlot' | 'none'
    /** Which rules of order are told; what is left alone is the coach's way on purpose. */
    readonly watch: Readonly<Record<OrderRule, 'told' | 'left'>>
  }
  readonly range: { readonly lockout: 'full' | 'shortOf' }
  readonly form: { readonly momentum: 'strict' | 'lastReps' | 'allowed' }
  /** Seconds: lower, wait at the long end, lift, wait at the short end. */
  readonly tempo: readonly [lower: Span, longPause: Span, lift: Span, shortPause: Span]
  readonly reps: { readonly compound: Ends; readonly isolation: Ends; readonly forearms: Ends }
  readonly progress: {
    readonly compoundRule: LoadProgression
    readonly isolationRule: LoadProgression
    readonly setRamp: 'none' | 'linear' | 'step'
    /** Largest rise of a group's sets in one week, share of 1. */
    readonly setRampCap: number
    readonly workingWeeks: number
    readonly deloadWeeks: number
    readonly alternation: 'none' | 'exposure' | 'week'
  }
  readonly deload: { readonly mode: 'planned' | 'triggered' | 'both' | 'none' }
  /** Readiness in percent that an exposure asks for, by what it is for. */
  readonly recovery: {
    readonly required: { readonly lead: number; readonly other: number; readonly indirect: number }
    readonly onShortfall: 'move' | 'swap_days' | 'cut_set'
  }
  readonly armCycle: { readonly days: Ends | 'weekly' }
  readonly time: { readonly generalWarmup: number; readonly compression: readonly number[] }
  readonly checks: { readonly strictness: 'low' | 'normal' | 'high' }
  readonly joints: { readonly setting: 'normal' | 'sensitive' }
  /** Wanted extensor sets per flexor set. */
  readonly ratioWish: number
}
