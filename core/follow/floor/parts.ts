import { type GroupingId, remembered } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { sessionTime, type TimeSpan } from '../../plan/minutes'
import type { Grouping, Session } from '../../plan/session'
import type { FloorPart } from './day'
import { spotsIn } from './spots'
import { stationsFor } from './stations'

/** A part of a session with the grouping it is. */
export interface SessionPart extends FloorPart {
  readonly grouping: GroupingId
}

/** The parts of a session as the floor sees them, with the client's own times. Units: seconds. */
export const floorParts = remembered(partsOf)

function partsOf(session: Session, context: PlanContext): readonly SessionPart[] {
  const stretches: { readonly id: GroupingId; readonly before: number; spans: TimeSpan[] }[] = []
  let way = 0
  for (const span of sessionTime(session, context).spans) {
    const last = stretches.at(-1)
    if (span.grouping === undefined) way += span.seconds
    else if (last?.id === span.grouping) last.spans.push(span)
    else {
      stretches.push({ id: span.grouping, before: way, spans: [span] })
      way = 0
    }
  }
  return stretches.flatMap(({ id, before, spans }) => {
    const grouping = session.groupings.find(held => held.id === id)
    if (!grouping) return []
    const spots = spotsIn(spans, session, context)
    return [
      {
        grouping: id,
        before,
        seconds: spans.reduce((sum, { seconds }) => sum + seconds, 0),
        needs: needsOf(grouping, context),
        ...(spots.length > 0 && { spots }),
      },
    ]
  })
}

const needsOf = ({ slots }: Grouping, { catalogue }: PlanContext) =>
  stationsFor(slots.flatMap(({ exercise }) => requireExercise(catalogue, exercise).equipment))
