import { addDays, type PlainDate } from '../base'
import { type Catalogue, directGroups, requireExercise, requireIntent } from '../catalogue'
import type { PlanDocument } from '../block'
import { dayName } from '../format'
import { plannedSets } from '../scheme'
import { type Session, sessionSlots } from '../session'

/** One session of a plan with its date. */
export interface DatedSession {
  /** Of the block's rotation, from 0; then the day, and the session within the day. */
  readonly pass: number
  readonly day: number
  readonly place: number
  readonly on: PlainDate
  readonly name: string
  /** Direct sets of elbow flexors and triceps. */
  readonly armSets: number
  readonly setsPlanned: number
  readonly session: Session
}

const ARMS = ['biceps', 'elbow_flexors_other', 'triceps'] as const

function armSetsOf(session: Session, catalogue: Catalogue): number {
  return sessionSlots(session).reduce((sum, { exercise, intent, scheme, credits }) => {
    const direct = directGroups(credits ?? requireIntent(requireExercise(catalogue, exercise), intent).credits)
    return sum + (ARMS.some(group => direct.includes(group)) ? plannedSets(scheme) : 0)
  }, 0)
}

/** The sessions of one pass of a plan's rotation in the order of their days. */
export function datedPass({ startsOn, rotation }: PlanDocument, pass: number, catalogue: Catalogue): readonly DatedSession[] {
  return rotation.days.flatMap((content, day) => content.sessions.map((session, place): DatedSession => ({
    pass, day, place, on: addDays(startsOn, pass * rotation.days.length + day), name: session.name ?? dayName(content), session,
    armSets: armSetsOf(session, catalogue), setsPlanned: sessionSlots(session).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
  })))
}
