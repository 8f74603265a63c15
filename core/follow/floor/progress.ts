import type { SlotId } from '../../base'
import type { PlanContext } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import { plannedSets } from '../../plan/scheme'
import { type Session, sessionSlots } from '../../plan/session'

/** A working set that was said to be done or left out; sets from 0, the latest last. */
export interface SaidPlace {
  readonly slot: SlotId
  readonly set: number
}
/** How far somebody is in a session. */
export interface FloorProgress {
  readonly done: number
  readonly of: number
  /** The set that comes next, from 1; null where all are said. */
  readonly next: {
    readonly slot: SlotId
    readonly exercise: string
    readonly set: number
    readonly sets: number
  } | null
  /** When the set that was said last would end by the plan. Units: seconds from the beginning; null before any. */
  readonly lastEnds: number | null
}

/**
 * How far somebody is, by what the phone has said so far.
 *
 * Edge: what is said of a place the session does not have, as after a swap on the phone, counts for nothing here.
 */
export function floorProgress(
  session: Session,
  context: PlanContext,
  said: readonly SaidPlace[],
): FloorProgress {
  const key = ({ slot, set }: SaidPlace) => `${slot} ${set}`
  const ends = new Map<string, number>()
  const order: SaidPlace[] = []
  for (const { kind, slot, set, start, seconds } of sessionTime(session, context).spans) {
    if (kind !== 'set' || slot === undefined || set === undefined) continue
    if (!ends.has(key({ slot, set }))) order.push({ slot, set })
    ends.set(key({ slot, set }), start + seconds)
  }
  const known = said.filter(place => ends.has(key(place)))
  const done = new Set(known.map(key))
  const next = order.find(place => !done.has(key(place)))
  const slot = next && sessionSlots(session).find(({ id }) => id === next.slot)
  const last = known.at(-1)
  return {
    done: done.size,
    of: order.length,
    next:
      next && slot
        ? {
            slot: next.slot,
            exercise: slot.exercise,
            set: next.set + 1,
            sets: plannedSets(slot.scheme),
          }
        : null,
    lastEnds: last ? (ends.get(key(last)) ?? null) : null,
  }
}
