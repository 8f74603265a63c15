import { instantSeconds } from '../../base'
import { estimatedParts, type LoggedAt, type SessionTimes, takenGaps } from '../../body/times'
import type { LoggedSet } from '../../body/log'
import { asEstimated, type PlanContext } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import type { Session } from '../../plan/session'
import type { LogEntry } from '../sheet'
import { doneSession } from './doneSession'

/** When each part of a session was logged; what was put right later counts from when it was first said. */
export function loggedMoments(entries: readonly LogEntry[]): readonly LoggedAt[] {
  const seen = new Set<string>()
  return entries.flatMap(({ at, word }): LoggedAt[] => {
    if (word.kind !== 'set') return []
    const { slot, role, set, stage, side } = word.place
    const key = [slot, role, set, stage, side].join(' ')
    if (seen.has(key)) return []
    seen.add(key)
    return [{ slot, role, set, at: instantSeconds(at) }]
  })
}

/**
 * What a finished session says of the client's minutes: the estimate of what was done, and the rests and ways really taken.
 *
 * Units: seconds. `entries` are the client's own: what a coach types from paper has no moments.
 */
export function sessionTimes(
  prescribed: Session,
  sets: readonly LoggedSet[],
  entries: readonly LogEntry[],
  context: PlanContext,
): SessionTimes {
  const { spans } = sessionTime(doneSession(prescribed, sets), asEstimated(context))
  return { estimated: estimatedParts(spans), gaps: takenGaps(spans, loggedMoments(entries)) }
}
