import type { ExerciseId, SlotId } from '../../base'
import { editedSession } from '../../design/suggest'
import type { PlanDocument, PlanEdit } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import type { Session } from '../../plan/session'
import type { FloorSession } from './day'
import { floorParts } from './parts'

/** A session of the day with what it takes to try it otherwise. */
export interface FloorGuest {
  /** Of the session on the floor. */
  readonly id: string
  /** When it begins, and when it would if nothing had been agreed for the day. Units: seconds of the day. */
  readonly start: number
  readonly usual: number
  readonly content: Session
  /** The plan as it stands on the day, and where in it the session is; counted from 0. */
  readonly plan: PlanDocument
  readonly day: number
  readonly place: number
  readonly context: PlanContext
  /** The client has begun or is done: it stays as it is. */
  readonly isBegun: boolean
  /** Its start can be another: the client has no second session that day, which would move with it. */
  readonly canMove: boolean
}

/** Something that can be done about a wait. */
export type FloorChange =
  | {
      readonly kind: 'start'
      readonly session: string
      readonly start: number
      /** A second start that is moved with it, where one alone does not help. */
      readonly also?: { readonly session: string; readonly start: number }
    }
  /** Two groupings change places: the one of `slot` comes before that of `before`. */
  | {
      readonly kind: 'turn'
      readonly session: string
      readonly slot: SlotId
      readonly before: SlotId
    }
  | {
      readonly kind: 'stand_in'
      readonly session: string
      readonly slot: SlotId
      readonly exercise: ExerciseId
      readonly edits: readonly PlanEdit[]
    }

/** A guest as the simulation takes one. */
export const floorSessionOf = ({ id, start, content, context }: FloorGuest): FloorSession => ({
  id,
  start,
  parts: floorParts(content, context),
})

/** What a change does to a plan, as the coach would do it on the board; nothing where only the clock changes. */
export function floorEdits(change: FloorChange): readonly PlanEdit[] {
  switch (change.kind) {
    case 'start':
      return []
    case 'turn':
      return [{ kind: 'move_grouping', slot: change.slot, to: { before: change.before } }]
    case 'stand_in':
      return change.edits
  }
}

/** The plan as the guest has it on the day: the session as it is done then in its place. */
export const planOnDay = ({ plan, day, place, content }: FloorGuest): PlanDocument => ({
  ...plan,
  rotation: {
    ...plan.rotation,
    days: plan.rotation.days.map((held, at) =>
      at === day ? { ...held, sessions: held.sessions.with(place, content) } : held,
    ),
  },
})

/** No edit of the floor makes anything that needs an id. */
const noId = () => ''

/** What a session is after a change of what is done in it. */
export const contentAfter = (guest: FloorGuest, change: FloorChange): Session =>
  change.kind === 'start'
    ? guest.content
    : (editedSession(planOnDay(guest), guest.day, guest.place, floorEdits(change), noId) ??
      guest.content)

/** The starts a change moves: one, or two that go together. */
export const startsOf = (
  change: Extract<FloorChange, { kind: 'start' }>,
): readonly { readonly session: string; readonly start: number }[] =>
  change.also ? [change, change.also] : [change]

/** Whose sessions a change is of. */
export const sessionsOf = (change: FloorChange): readonly string[] =>
  change.kind === 'start' ? startsOf(change).map(({ session }) => session) : [change.session]

/** Everybody of the day after a change. */
export const guestsAfter = (
  guests: readonly FloorGuest[],
  change: FloorChange,
): readonly FloorGuest[] =>
  guests.map(guest => {
    if (guest.id === change.session) return guestAfter(guest, change)
    const also = change.kind === 'start' && change.also?.session === guest.id ? change.also : null
    return also ? { ...guest, start: also.start } : guest
  })

/** A guest after a change of its own. */
export const guestAfter = (guest: FloorGuest, change: FloorChange): FloorGuest => ({
  ...guest,
  ...(change.kind === 'start' && { start: change.start }),
  content: contentAfter(guest, change),
})
