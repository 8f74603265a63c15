import type { ExerciseId, PlainDate, SlotId } from '../../base'
import type { Joint, Pattern } from '../../plan/catalogue'
import type { BarLoading, LoadGrid, TopLoading } from '../../plan/estimate'
import type { BodySide } from '../../body/log'
import type { SetRole, SetUp, SetUpField, WeightUnit } from '../../plan/scheme'
import type { GroupingKind, Placement } from '../../plan/session'

/*
 * What a client's phone holds of a session: everything in words and numbers, so that it works without reception and
 * without the catalogue. Types and small arithmetic only; whatever is imported here is loaded by every phone.
 */

/** What a part is loaded with: a weight of its own, a share of an earlier part's, or nothing that can be written as a number. */
export type PartLoad =
  | { readonly kind: 'weight'; readonly amount: number }
  /** Left to the client; an earlier set of the session is taken up. */
  | { readonly kind: 'open' }
  | { readonly kind: 'none' }
  | { readonly kind: 'share'; readonly of: 'first' | 'previous'; readonly share: number }
  | { readonly kind: 'less'; readonly of: 'first' | 'previous'; readonly amount: number }

/** One work or hold stage of a set, for one side where sides are logged by themselves. */
export interface SheetPart {
  /** From 1, among the work and hold stages of the set. */
  readonly stage: number
  readonly side: BodySide | null
  readonly kind: 'work' | 'hold'
  /** What is asked, in words: `10–12 reps, 2 in reserve, 3 s down`. */
  readonly words: string
  /** Reps or seconds to begin with; null where the plan leaves them open. */
  readonly count: number | null
  readonly countWords: string
  readonly rir: number | null
  readonly load: PartLoad
  /** Seconds of rest inside the set before this part. */
  readonly restBefore: number
  /** Another movement than the set's own. */
  readonly as: string | null
  /** The side whose reps it stops at. */
  readonly stopsAt?: BodySide
}

/** One set as it is planned. */
export interface SheetSet {
  readonly role: SetRole
  /** From 1: warm-up sets among themselves, all others among themselves. */
  readonly number: number
  readonly parts: readonly [SheetPart, ...SheetPart[]]
  /** Only under a condition, in words. */
  readonly onlyIf: string | null
}

/** How the numbers of an exercise are to be read and stepped. */
export interface LoadScale {
  readonly unit: WeightUnit
  readonly grid: LoadGrid
  /** How its bar is loaded; null where it has none, or the gym has not said which plates it has. */
  readonly bar: BarLoading | null
  /** What may be put on top of its weights, where there is anything. */
  readonly top?: TopLoading
  /** ` in each hand`; empty where nothing need be said. */ readonly words: string
}

export interface LastTime {
  readonly on: PlainDate
  readonly sets: readonly {
    readonly amount: number | null
    readonly count: number | null
    readonly rir: number | null
  }[]
}

/** A movement as the sheet tells it. */
export interface SheetMovement {
  readonly exercise: ExerciseId
  readonly intent: string | null
  readonly name: string
  readonly how: string
  /** Short cues, then where a repetition ends; none for a coach's own exercise. */
  readonly cues: readonly string[]
  /** Of movement, by which it is drawn; missing on sheets from before. */
  readonly pattern?: Pattern
  readonly cautions: readonly string[]
  readonly countUnit: 'reps' | 'seconds'
  readonly scale: LoadScale
  /** 1 low, 2 medium, 3 high; joints it leaves alone are left out. */
  readonly stress: Readonly<Partial<Record<Joint, number>>>
  readonly last: LastTime | null
  /** What there is to set up for it, how the plan has it, and how it was set up when it was last said. */
  readonly setUp: {
    readonly fields: readonly SetUpField[]
    readonly planned: SetUp | null
    readonly last: { readonly on: PlainDate; readonly setUp: SetUp } | null
  }
}

/** Something that can stand in, with what changes. */
export interface SheetSwap extends SheetMovement {
  readonly changes: readonly string[]
  readonly start: number | null
}

export interface SheetExercise extends SheetMovement {
  readonly slot: SlotId
  readonly letter: string
  readonly family: 'flex' | 'ext' | 'fore' | 'body'
  readonly note: string
  /** The load may not fall from set to set. */
  readonly holdsLoad?: boolean
  /** Why these numbers: `One step up from last time`. */
  readonly why: string
  readonly swaps: readonly SheetSwap[]
}

/** A set in the order of the session. Units: seconds; `start` from the session's beginning as planned. */
export interface SheetTurn {
  readonly slot: SlotId
  /** Place in the slot's sets, from 0. */ readonly set: number
  readonly start: number
  readonly seconds: number
  /** Until the next turn. */ readonly rest: number
}

export interface SheetGroup {
  readonly slots: readonly SlotId[]
  readonly kind: GroupingKind
  readonly placement: Placement
  readonly words: string
  readonly start: number
  readonly seconds: number
}

/** One way through the session: as planned, or within fewer minutes. */
export interface SheetWay {
  /** Minutes it is made for; null for the plan itself. */
  readonly minutes: number | null
  /** What is kept and what goes. */
  readonly words: string
  readonly seconds: number
  readonly sets: Readonly<Record<SlotId, readonly SheetSet[]>>
  readonly turns: readonly SheetTurn[]
  readonly groups: readonly SheetGroup[]
}

export interface SheetSession {
  readonly id: string
  readonly on: PlainDate
  readonly name: string
  readonly minuteLimit: number | null
  readonly preparation: readonly string[]
  readonly exercises: readonly SheetExercise[]
  readonly ways: readonly [SheetWay, ...SheetWay[]]
}
