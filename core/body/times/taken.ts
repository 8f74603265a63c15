import type { SlotId } from '../../base'
import type { TimeSpan } from '../../plan/minutes'
import type { SetRole } from '../../plan/scheme'

/** A part of a set with the moment it was logged. Units: seconds from any fixed moment. */
export interface LoggedAt {
  readonly slot: SlotId
  readonly role: SetRole
  /** From 1, among warm-up sets or all others. */
  readonly set: number
  readonly at: number
}

/** A stretch between two sets as it was asked for and as it was taken. Units: seconds. */
export interface TakenGap {
  readonly kind: 'rest' | 'setUp'
  /** The exercise whose set came before. */
  readonly slot: SlotId
  readonly asked: number
  readonly taken: number
}

/** Longer than this between two entries is no rest: a talk, a phone call, the end of the session. */
const LONGEST_GAP = 15 * 60
/** Entries this close were typed one after the other, not between sets. */
const SHORTEST_GAP = 8

interface DoneSet {
  readonly slot: SlotId
  readonly set: number
  readonly from: number
  readonly to: number
}

/** Sets that are no warm-up in the order done, each with the moments of its first and last part. */
function setsInOrder(logged: readonly LoggedAt[]): readonly DoneSet[] {
  const sets = new Map<string, DoneSet>()
  for (const { slot, role, set, at } of [...logged].sort((a, b) => a.at - b.at)) {
    if (role === 'warmup') continue
    const key = `${slot} ${set}`
    const known = sets.get(key)
    sets.set(key, known ? { ...known, to: at } : { slot, set: set - 1, from: at, to: at })
  }
  return [...sets.values()].sort((a, b) => a.from - b.from)
}

const isSet = (span: TimeSpan, { slot, set }: DoneSet) =>
  span.kind === 'set' && span.slot === slot && span.set === set

/**
 * What lay between two sets, if the plan has the one right after the other: the stretch as asked for, and the seconds of the set that
 * follows up to its first part.
 */
function plannedBetween(spans: readonly TimeSpan[], before: DoneSet, after: DoneSet) {
  const end = spans.findLastIndex(span => isSet(span, before))
  const start = spans.findIndex(span => isSet(span, after))
  if (end < 0 || start <= end) return undefined
  const between = spans.slice(end + 1, start)
  if (between.some(({ kind }) => kind === 'set')) return undefined
  const asked = between.reduce((sum, { seconds }) => sum + seconds, 0)
  const isSetUp = between.some(({ kind }) => kind === 'setup' || kind === 'transition')
  return { asked, isSetUp, work: spans[start]?.seconds ?? 0 }
}

/**
 * Rests and ways between the sets of a session as they were really taken, from the moments its sets were logged.
 *
 * Shape:  `spans` are the session's as estimated (`sessionSpans`); one gap for each pair of sets that follow each other in the plan and
 *         were done so. Only stretches that a person can have rested are told: neither typed at once nor over 15 minutes.
 * Units:  seconds; the time of the set that follows is taken off as estimated.
 * Source: docs/methods.md#minutes-as-a-client-takes-them.
 */
export function takenGaps(
  spans: readonly TimeSpan[],
  logged: readonly LoggedAt[],
): readonly TakenGap[] {
  const sets = setsInOrder(logged)
  return sets.slice(1).flatMap((after, at): TakenGap[] => {
    const before = sets[at]!
    const planned = plannedBetween(spans, before, after)
    const gap = after.from - before.to
    if (!planned || gap < SHORTEST_GAP || gap > LONGEST_GAP) return []
    const taken = gap - planned.work
    return taken <= 0
      ? []
      : [
          {
            kind: planned.isSetUp ? 'setUp' : 'rest',
            slot: before.slot,
            asked: planned.asked,
            taken,
          },
        ]
  })
}
