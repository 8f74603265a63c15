import type { SlotRole } from './slotRole'
import type { ExerciseId, GroupingId, SessionId, SlotId } from '../../base'
import type { Credits } from '../catalogue'
import type { DoneAs, Rest, SetScheme } from '../scheme'

/** One exercise planned in a session. */
export interface Slot {
  readonly id: SlotId
  readonly exercise: ExerciseId
  /** The purpose it is done with; null is the exercise's default. */
  readonly intent: string | null
  /** Held or set up otherwise than the place has it, where it takes its turn so; its loads and trend are its own. */
  readonly as?: DoneAs
  /** Credits that hold in this slot only, replacing those of the intent whole; heads follow the intent. */
  readonly credits?: Credits
  readonly scheme: SetScheme
  readonly note?: string
  /** What it is there for; swaps, templates and checks keep to it. */
  readonly role?: SlotRole
  /** Proposals leave it where and as it is. */
  readonly isHeld?: true
}

export const GROUPING_KINDS = ['straight', 'superset', 'alternating', 'circuit'] as const
export type GroupingKind = (typeof GROUPING_KINDS)[number]

export const PLACEMENTS = ['main', 'warmup', 'finisher'] as const
export type Placement = (typeof PLACEMENTS)[number]

/** Slots that are done together; a straight one holds a single slot. */
export interface Grouping {
  readonly id: GroupingId
  readonly kind: GroupingKind
  readonly placement: Placement
  readonly slots: readonly [Slot, ...Slot[]]
  /** The part of a session that can be lifted out again, such as the extensor half of an arm day. */
  readonly part?: string
  /** Seconds to move a handle or turn a bench between partners. */
  readonly changeOverSeconds?: number
  /** Partners of one muscle on purpose. */
  readonly sameMuscleIntended?: true
  /** May be exchanged for another finisher on the day. */
  readonly replaceable?: true
  /** Done only every n-th session: turn 1 of 2 is the first, the third, the fifth. */
  readonly turn?: { readonly at: number; readonly of: number }
  readonly restBetweenPartners?: Rest
  readonly restAfterRound?: Rest
  readonly restAfterGrouping?: Rest
  readonly onlyIf?: string
}

/** Minutes before the first exercise; they never count as sets. */
export interface Preparation {
  readonly minutes: number
  readonly what: string
  readonly onlyIf?: string
}

/** What a client does in one visit, in order. */
export interface Session {
  readonly id: SessionId
  readonly name?: string
  /** What comes before the first exercise besides its warm-up sets: a walk, the bands, getting there. */
  readonly preparation?: readonly Preparation[]
  readonly groupings: readonly Grouping[]
  readonly restBetweenMuscles?: Rest
}

/** Every slot of a session in order. */
export function sessionSlots(session: Session): readonly Slot[] {
  return session.groupings.flatMap(grouping => grouping.slots)
}

/** The session with those groupings only whose turn it is in a rotation, counted from 0. */
export function sessionInTurn(session: Session, pass: number): Session {
  if (session.groupings.every(({ turn }) => turn === undefined)) return session
  return {
    ...session,
    groupings: session.groupings.flatMap(({ turn, ...grouping }) =>
      turn === undefined || pass % turn.of === turn.at - 1 ? [grouping] : [],
    ),
  }
}
