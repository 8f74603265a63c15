import type { ExerciseId, PlainDate, SessionId, SlotId } from '../../base'
import type { DayRole, RotationDay } from '../rotation'
import type { SetScheme } from '../scheme'
import type { Grouping, GroupingKind, Session, SlotRole } from '../session'
import type { BlockPlan } from './blockPlan'
import type { MadeFrom, OneOff, Variant, Weighed } from './planDocument'

/** Settings of a grouping that can be changed by themselves. */
export type GroupingChange = {
  readonly [
    Key in
      | 'placement'
      | 'restBetweenPartners'
      | 'restAfterRound'
      | 'restAfterGrouping'
      | 'changeOverSeconds'
      | 'sameMuscleIntended'
  ]?: Grouping[Key] | null
}

/** One change a coach makes to the sets of a plan; days from 0. */
export type PlanEdit =
  | { readonly kind: 'add_sets'; readonly slot: SlotId; readonly count: number }
  | { readonly kind: 'cut_sets'; readonly slot: SlotId; readonly count: number }
  | {
      readonly kind: 'add_exercise'
      readonly day: number
      readonly session?: SessionId
      readonly exercise: ExerciseId
      readonly intent: string | null
      readonly scheme: SetScheme
    }
  | { readonly kind: 'set_scheme'; readonly slot: SlotId; readonly scheme: SetScheme }
  | {
      readonly kind: 'swap_exercise'
      readonly slot: SlotId
      readonly exercise: ExerciseId
      readonly intent: string | null
    }
  | { readonly kind: 'remove_exercise'; readonly slot: SlotId }
  /** Moves the grouping that holds the slot within its session. */
  | {
      readonly kind: 'move_grouping'
      readonly slot: SlotId
      readonly to: 'first' | 'last' | { readonly before: SlotId }
    }
  /** Each exercise of the slot's grouping by itself, in the order they stand. */
  | { readonly kind: 'ungroup'; readonly slot: SlotId }
  /** The grouping of one slot joins that of another of its session and is done with it. */
  | {
      readonly kind: 'pair'
      readonly slot: SlotId
      readonly with: SlotId
      readonly as: Exclude<GroupingKind, 'straight'>
    }
  /** One exercise by itself again, after the others it was done with. */
  | { readonly kind: 'take_out'; readonly slot: SlotId }
  /** Another way to do the same exercises together; rests that do not apply are kept for the way back. */
  | { readonly kind: 'convert'; readonly slot: SlotId; readonly to: GroupingKind }
  /** Another place among its partners. */
  | { readonly kind: 'move_partner'; readonly slot: SlotId; readonly by: -1 | 1 }
  /** Changes what a grouping says besides its exercises; null takes a value out. */
  | { readonly kind: 'tune_grouping'; readonly slot: SlotId; readonly change: GroupingChange }
  /** What was typed in place of a grouping; exercises that are still there keep their identity. */
  | { readonly kind: 'set_grouping'; readonly slot: SlotId; readonly grouping: Grouping }
  | { readonly kind: 'set_role'; readonly slot: SlotId; readonly role: SlotRole | null }
  | { readonly kind: 'set_note'; readonly slot: SlotId; readonly note: string }
  | { readonly kind: 'set_purpose'; readonly slot: SlotId; readonly intent: string | null }
  /** Puts a session in the place of another, or onto the day. */
  | {
      readonly kind: 'put_session'
      readonly day: number
      readonly session: SessionId | null
      readonly content: Session
    }
  | { readonly kind: 'remove_session'; readonly day: number; readonly session: SessionId }
  | { readonly kind: 'put_one_off'; readonly oneOff: OneOff }
  | { readonly kind: 'drop_one_off'; readonly session: SessionId; readonly on: PlainDate }
  | { readonly kind: 'put_variant'; readonly variant: Variant }
  | { readonly kind: 'drop_variant'; readonly session: SessionId; readonly name: string }
  /** When the block begins, how often the rotation is gone through, and how its passes differ. */
  | {
      readonly kind: 'set_block'
      readonly title?: string
      readonly startsOn?: PlainDate
      readonly passes?: number
      readonly block?: BlockPlan
    }
  | { readonly kind: 'swap_days'; readonly day: number; readonly with: number }
  | {
      readonly kind: 'set_day'
      readonly day: number
      readonly role: DayRole
      readonly label: string | null
      readonly minuteLimit: number | null
    }
  /** The whole session goes to another day: with the day's role onto an empty day, else as a second session. */
  | { readonly kind: 'move_session'; readonly day: number; readonly to: number }
  /** A copy of everything on a day, onto an empty day or as a second session. */
  | { readonly kind: 'copy_day'; readonly day: number; readonly to: number }
  /** More days are rest days at the end; fewer take empty days out first, from the end, and then lay sessions together. */
  | { readonly kind: 'set_length'; readonly days: number }
  | { readonly kind: 'set_anchor'; readonly anchor: 'floating' | 'weekday' }
  | {
      readonly kind: 'use_days'
      readonly days: readonly RotationDay[]
      /** The days belong to weekdays: day 1 stays on the one the block begins on. */
      readonly onWeekdays?: boolean
    }
  /** Proposals leave held sets alone. */
  | { readonly kind: 'hold'; readonly slots: readonly SlotId[]; readonly isHeld: boolean }
  | { readonly kind: 'set_closing_notes'; readonly notes: string }
  /** Terms that were weighed, kept with the plan; none takes them out. */
  | { readonly kind: 'set_weighed'; readonly weighed: readonly Weighed[] }
  /** The template it was made from; null where it has gone its own way. */
  | { readonly kind: 'set_made_from'; readonly madeFrom: MadeFrom | null }
  | { readonly kind: 'dismiss'; readonly finding: string; readonly note: string }
  | { readonly kind: 'undismiss'; readonly finding: string }
  | {
      readonly kind: 'move_sets'
      readonly toDay: number
      readonly moves: readonly { readonly slot: SlotId; readonly count: number }[]
    }

/** Why an edit cannot be made; the plan stays as it was. */
export type EditProblem =
  | { readonly kind: 'no_such_slot'; readonly slot: SlotId }
  | { readonly kind: 'no_such_day'; readonly day: number }
  | { readonly kind: 'rest_day'; readonly day: number }
  | { readonly kind: 'day_not_empty'; readonly day: number; readonly sets: number }
  | { readonly kind: 'day_full'; readonly day: number }
  | { readonly kind: 'too_short'; readonly least: number }
  | { readonly kind: 'cannot_hold_weekdays'; readonly days: number }
  | { readonly kind: 'no_such_session' }
  /** One rotation stands by itself: its days and sessions are the block's. */
  | { readonly kind: 'one_rotation' }
  | { readonly kind: 'with_itself'; readonly slot: SlotId }
  | { readonly kind: 'needs_partner'; readonly slot: SlotId }
  | { readonly kind: 'other_session'; readonly slot: SlotId }
  | { readonly kind: 'session_full'; readonly limit: number }
  | { readonly kind: 'too_many_sets'; readonly exercise: ExerciseId; readonly limit: number }
