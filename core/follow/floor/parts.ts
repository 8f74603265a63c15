import type { GroupingId } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import type { Grouping, Session } from '../../plan/session'
import type { FloorPart } from './day'
import { stationsFor } from './stations'

/** A part of a session with the grouping it is. */
export interface SessionPart extends FloorPart {
  readonly grouping: GroupingId
}

/** The parts of a session as the floor sees them, with the client's own times. Units: seconds. */
export function floorParts(session: Session, context: PlanContext): readonly SessionPart[] {
  const stretches: { readonly grouping: string; readonly before: number; seconds: number }[] = []
  let way = 0
  for (const { grouping, seconds } of sessionTime(session, context).spans) {
    const last = stretches.at(-1)
    if (grouping === undefined) way += seconds
    else if (last?.grouping === grouping) last.seconds += seconds
    else {
      stretches.push({ grouping, before: way, seconds })
      way = 0
    }
  }
  return stretches.flatMap(({ grouping: id, before, seconds }) => {
    const grouping = session.groupings.find(held => held.id === id)
    return grouping
      ? [{ grouping: grouping.id, before, seconds, needs: needsOf(grouping, context) }]
      : []
  })
}

const needsOf = ({ slots }: Grouping, { catalogue }: PlanContext) =>
  stationsFor(slots.flatMap(({ exercise }) => requireExercise(catalogue, exercise).equipment))
