import type { PlainDate } from '../../base'
import { directGroups, requireExercise } from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots } from '../../plan/session'
import type { BlockSession } from './expand'

/** A session with its date, as it is kept once it is sent. */
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

/** What is kept of a planned session when it is sent. */
export function datedSession(
  { pass, day, place, on, name, content }: BlockSession,
  context: PlanContext,
): DatedSession {
  const slots = sessionSlots(content)
  const armSets = slots.reduce((sum, { exercise, intent, scheme, credits }) => {
    const direct = directGroups(
      credits ?? intentFor(context, requireExercise(context.catalogue, exercise), intent).credits,
    )
    return sum + (ARMS.some(group => direct.includes(group)) ? plannedSets(scheme) : 0)
  }, 0)
  return {
    pass,
    day,
    place,
    on,
    name,
    armSets,
    setsPlanned: slots.reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
    session: content,
  }
}
