import { clockOf, felt, type FloorDay, secondsOf } from '#core/follow/floor'
import type { FloorView } from '#shared/contracts/floor'

type Seen = FloorView['sessions'][number]

const MINUTE = 60

/** How far a session goes over its minutes because it waits. Units: seconds. */
function overLimit({ id, start, minuteLimit }: Seen, day: FloorDay): number {
  if (minuteLimit === null) return 0
  const waited = day.waits.reduce(
    (sum, wait) => (wait.session === id ? sum + wait.seconds : sum),
    0,
  )
  const over = (day.ends.get(id) ?? 0) - secondsOf(start) - minuteLimit * MINUTE
  return Math.max(0, Math.min(waited, over))
}

/** A session's minutes as its lane says them: `42`, or `42 + 9` where it waits. */
export interface LaneEnd {
  readonly ends: string
  readonly minutes: string
  readonly waits: boolean
  /** `4 over the limit`; empty where it is within. */
  readonly over: string
}

export function laneEnd(session: Seen, day: FloorDay): LaneEnd {
  const waited = felt(day).reduce(
    (sum, wait) => (wait.session === session.id ? sum + wait.seconds : sum),
    0,
  )
  const end = day.ends.get(session.id) ?? secondsOf(session.start)
  const [all, wait] = [end - secondsOf(session.start), waited].map(seconds =>
    Math.round(seconds / MINUTE),
  ) as [number, number]
  const over = Math.round(overLimit(session, day) / MINUTE)
  return {
    ends: clockOf(end),
    minutes: wait > 0 ? `${all - wait} + ${wait}` : String(all),
    waits: wait > 0,
    over: over > 0 ? `${over} over the limit` : '',
  }
}

/** Most sessions at once. */
export function mostAtOnce(view: FloorView, day: FloorDay): number {
  const spans = view.sessions.map(({ id, start }) => ({
    from: secondsOf(start),
    until: day.ends.get(id) ?? 0,
  }))
  return Math.max(
    0,
    ...spans.map(
      ({ from }) => spans.filter(other => other.from <= from && other.until > from).length,
    ),
  )
}
