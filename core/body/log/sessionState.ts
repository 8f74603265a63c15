import type { PlainDate } from '../../base'

/** What became of a dated session, from not sent to done. */
export const SESSION_STATES = [
  'planned',
  'sent',
  'opened',
  'begun',
  'part_done',
  'done',
  'decided',
  'missed',
] as const
export type SessionState = (typeof SESSION_STATES)[number]

/** What is known of a dated session, wherever it is kept. */
export interface SessionFacts {
  readonly on: PlainDate
  readonly isSent: boolean
  readonly isOpened: boolean
  /** At least one working set is in the log. */
  readonly hasSets: boolean
  /** The client, or the coach from paper, has said that it is over. */
  readonly isFinished: boolean
  /** The coach has decided what becomes of it. */
  readonly isDecided: boolean
}

/**
 * The state of a session on a day; every list, page and count asks this and nothing else.
 *
 * Edge:   `today` is the asking person's own day. A session of today is not missed yet; one with sets that nobody finished
 *         is under way on its day and part done from the next day on; a decision speaks only of a session without sets.
 * Source: docs/methods.md#state-of-a-session.
 */
export function sessionState(session: SessionFacts, today: PlainDate): SessionState {
  const isOver = session.on < today
  if (session.isFinished) return 'done'
  if (session.hasSets) return isOver ? 'part_done' : 'begun'
  if (session.isDecided) return 'decided'
  if (isOver) return 'missed'
  if (session.isOpened) return 'opened'
  return session.isSent ? 'sent' : 'planned'
}

/** Whether it can be said that a session is over: not before its day has come. */
export function mayBeClosed({ on }: Pick<SessionFacts, 'on'>, today: PlainDate): boolean {
  return on <= today
}

/** Nothing of it is done yet and nothing is late: it may still turn out either way. */
export function isAhead(state: SessionState): boolean {
  return state === 'planned' || state === 'sent' || state === 'opened'
}

/** At least some of it was done. */
export function hasWork(state: SessionState): boolean {
  return state === 'begun' || state === 'part_done' || state === 'done'
}

/** It lies behind without a set, let go or not. */
export function isLeftOut(state: SessionState): boolean {
  return state === 'missed' || state === 'decided'
}
