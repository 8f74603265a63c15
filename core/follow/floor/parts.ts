import { requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import type { Session } from '../../plan/session'
import type { FloorPart } from './day'
import { stationsFor } from './stations'

/** The parts of a session as the floor sees them, with the client's own times. Units: seconds. */
export function floorParts(session: Session, context: PlanContext): readonly FloorPart[] {
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
  return stretches.map(({ grouping: id, before, seconds }) => {
    const slots = session.groupings.find(grouping => grouping.id === id)?.slots ?? []
    const equipment = slots.flatMap(
      ({ exercise }) => requireExercise(context.catalogue, exercise).equipment,
    )
    return { before, seconds, needs: stationsFor(equipment) }
  })
}
