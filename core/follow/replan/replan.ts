import type { PlainDate } from '../../base'
import type { Group, Joint } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { BlockSession, ExpandedBlock } from '../../design/progress'
import type { Session } from '../../plan/session'

export const REPLAN_OPTIONS = ['spread', 'shift', 'merge', 'drop', 'restart'] as const
/** What can be done about a missed session; in the order that decides between equals. */
export type ReplanOption = (typeof REPLAN_OPTIONS)[number]

/** Where a session stands in a block: pass, day and place within the day, each from 0. */
export type Place = Pick<BlockSession, 'pass' | 'day' | 'place'>

export interface ReplanQuestion {
  /** What was sent in place of what the plan would have. */
  readonly expanded: ExpandedBlock
  readonly missed: Place
  readonly today: PlainDate
  readonly context: PlanContext
  /** Sessions missed within seven days, this one among them. */
  readonly missedLately: number
  /** The rotation keeps to its weekdays, so that a week without a rest day left loses a session. */
  readonly isAnchored: boolean
  /** Days on which nothing can be done. */
  readonly isClosed: (date: PlainDate) => boolean
}

export interface Move extends Place {
  readonly on: PlainDate
}
/** A session with sets it takes over. */
export interface Refilled extends Place {
  readonly content: Session
  readonly sets: readonly { readonly group: Group; readonly sets: number }[]
}

/** What a construction does to the sessions ahead. */
export interface Construction {
  readonly option: ReplanOption
  readonly moves: readonly Move[]
  readonly refilled: readonly Refilled[]
  readonly dropped: readonly Place[]
}

/** A construction with what it costs and keeps, over seven days from the missed day. */
export interface Replan extends Construction {
  /** Share of what the missed session was worth that is still done, 0 to 1. */
  readonly kept: number
  /** Direct sets of the missed session by muscle. */
  readonly sets: readonly { readonly group: Group; readonly kept: number; readonly of: number }[]
  /** Other sessions that make room for it, with the sets that are lost with them. */
  readonly lost: readonly {
    readonly on: PlainDate
    readonly name: string
    readonly sets: number
  }[]
  readonly lowest: {
    readonly group: Group
    readonly on: PlainDate
    readonly name: string
    readonly readiness: number
  } | null
  readonly longest: {
    readonly on: PlainDate
    readonly name: string
    readonly minutes: number
    readonly limit: number | null
  } | null
  /** The joint that rises most against its weeks before; null without a history. */
  readonly ramp: { readonly joint: Joint; readonly ramp: number } | null
  readonly daysChanged: number
  readonly endsOn: PlainDate
  readonly newStops: number
  readonly newCautions: number
}

export const isAt = (a: Place) => (b: Place) =>
  a.pass === b.pass && a.day === b.day && a.place === b.place

/** Days looked at after the missed one. */
export const HORIZON_DAYS = 7
