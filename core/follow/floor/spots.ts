import { canPin, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { SessionTime } from '../../plan/minutes'
import { lowestRir } from '../../plan/scheme'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import type { FloorDay, FloorPart, FloorSession } from './day'

/** A set that wants somebody beside it. Units: seconds from where its part begins. */
export type PartSpot = NonNullable<FloorPart['spots']>[number]

/** Whether a set is one: to failure, under a bar. Whether a rack has arms that would catch it nobody has said. */
function isSpotted(
  { run: at }: SessionTime['spans'][number],
  slot: Slot | undefined,
  { catalogue }: PlanContext,
): boolean {
  const run = at === undefined ? undefined : slot?.scheme.runs[at]
  if (!slot || !run || run.role === 'warmup') return false
  return (lowestRir(run) ?? 1) <= 0 && canPin(requireExercise(catalogue, slot.exercise))
}

/** Sets of a grouping that want a spotter. */
export const spotsIn = (
  spans: SessionTime['spans'],
  session: Session,
  context: PlanContext,
): readonly PartSpot[] => {
  const begins = spans[0]?.start ?? 0
  const slots = new Map(sessionSlots(session).map(slot => [slot.id, slot]))
  const slotOf = ({ slot }: SessionTime['spans'][number]) =>
    slot === undefined ? undefined : slots.get(slot)
  return spans
    .filter(span => span.kind === 'set' && isSpotted(span, slotOf(span), context))
    .map(({ start, seconds }) => ({ at: start - begins, seconds }))
}

/** A set with nobody to spot it. Units: seconds of the day. */
export interface Unspotted {
  readonly session: string
  readonly part: number
  readonly at: number
  /** Whom the coaches spot at that moment. */
  readonly spotted: readonly string[]
}

/**
 * Sets that want a spotter while all coaches spot others: whoever began first keeps hers.
 *
 * Edge: none where it was not said how many coaches there are.
 */
export function unspotted(
  sessions: readonly FloorSession[],
  { stretches }: Pick<FloorDay, 'stretches'>,
  coaches: number | undefined,
): readonly Unspotted[] {
  if (coaches === undefined) return []
  const wanted = stretches
    .flatMap(({ session, part, from }) =>
      (sessions.find(({ id }) => id === session)?.parts[part]?.spots ?? []).map(spot => ({
        session,
        part,
        at: from + spot.at,
        until: from + spot.at + spot.seconds,
      })),
    )
    .sort((a, b) => a.at - b.at)
  const given: typeof wanted = []
  const missed: Unspotted[] = []
  for (const one of wanted) {
    const busy = given.filter(({ until }) => until > one.at)
    if (busy.length < coaches) given.push(one)
    else
      missed.push({
        session: one.session,
        part: one.part,
        at: one.at,
        spotted: [...new Set(busy.map(({ session }) => session))],
      })
  }
  return missed
}
