import type { SlotId } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { ARM_GROUPS, type Group, type Joint } from '../../plan/catalogue'
import type { CheckInput } from '../../judge/checks'
import type { PlanContext } from '../../plan/method'
import type { DayRole } from '../../plan/rotation'
import { plannedSets, splitSets, withSetsAdded } from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'

export const ALLOCATION_SCOPES = ['arms', 'chosen', 'all'] as const
/** What may be moved: direct arm work by single-joint exercises, that and every exercise for some other muscles, or everything. */
export type AllocationScope = (typeof ALLOCATION_SCOPES)[number]

/** What some number of sets of a cell gives; arrays by affected group, by session joint. */
export interface CellWorth {
  readonly counted: readonly number[]
  readonly fractional: readonly number[]
  readonly direct: readonly number[]
  readonly impulse: readonly number[]
  readonly joints: readonly number[]
  readonly flexors: number
  readonly extensors: number
  /** Direct triceps sets with the arm overhead. */
  readonly overhead: number
}

/** An exercise at a place in the rotation whose number of sets is open. */
export interface Cell {
  readonly at: number
  /** Index into the problem's sessions. */
  readonly place: number
  readonly slot: Slot
  /** What it is done in, by itself where it is new. */
  readonly grouping: Grouping
  readonly main: Group
  readonly isNew: boolean
  readonly now: number
  /** Numbers of sets it may have, rising; 0 is among them but for what a rotation is built on. */
  readonly values: readonly number[]
  /** By number of sets. */
  readonly worth: readonly CellWorth[]
}

/** A session of the rotation with what stands in it whatever is proposed. */
export interface Place {
  readonly day: number
  readonly session: number
  readonly hour: number
  readonly role: DayRole
  readonly content: Session
  readonly base: CellWorth
  /** Cells of the session by slot. */
  readonly cells: readonly Cell[]
}

/** How new exercises are done: in the usual way, or as finishers with short rests. */
export type NewAs = 'usual' | 'finisher'

export interface Problem {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly input: CheckInput
  /** Groups that any open set counts for. */
  readonly groups: readonly Group[]
  readonly places: readonly Place[]
  readonly cells: readonly Cell[]
  /** Groups that exercises may come and go for. */
  readonly asked: readonly Group[]
  readonly newAs: NewAs
  /** A rotation that has nothing but what it is to be built on. */
  readonly isFromNothing: boolean
  /** What is not offered for the sake of a joint. */
  readonly withheld: readonly Withheld[]
  /** Sets per 7 days that come from besides the rotation. */
  readonly beside: readonly number[]
}

export interface AllocationQuestion {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly scope?: AllocationScope
  /** Groups beside the arms, for the scope `chosen`. */
  readonly chosen?: readonly Group[]
  readonly newAs?: NewAs
  /** A rotation from nothing: compounds that its days are built on, which keep some sets whatever else moves. */
  readonly backbone?: ReadonlySet<SlotId>
}

/** Exercises that would have been offered, by what speaks against them. */
export interface Withheld {
  readonly exercise: string
  readonly day: number
  /** A sore joint, or a note on what provokes one. */
  readonly why: Joint | 'notes'
}

/** What may come and go, and how. */
export interface Terms {
  readonly asked: readonly Group[]
  readonly scope: AllocationScope
  readonly newAs: NewAs
  readonly backbone: ReadonlySet<SlotId> | undefined
}
/** A session before it is known what of it is open. */
export type Bare = Omit<Place, 'base' | 'cells'>
/** An exercise whose sets are open, before it is known what they give. */
export interface Draft {
  readonly place: number
  readonly grouping: Grouping
  readonly slot: Slot
  readonly main: Group
  readonly isNew: boolean
}

/** Fewest sets an exercise is put in with. */
export const NEW_LEAST = 2

export function isArm(group: Group): boolean {
  return (ARM_GROUPS as readonly Group[]).includes(group)
}

/** A slot with so many working sets; none where there are none. */
export function slotWith(slot: Slot, sets: number): Slot {
  const change = sets - plannedSets(slot.scheme)
  if (change === 0) return slot
  return {
    ...slot,
    scheme: change > 0 ? withSetsAdded(slot.scheme, change) : splitSets(slot.scheme, -change).kept,
  }
}
