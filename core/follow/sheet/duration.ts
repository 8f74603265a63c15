import { instantSeconds } from '../../base'
import type { StandingTurn } from './standing'

const SECONDS_PER_MINUTE = 60
/** Left lying for longer than this, minutes since the first set say nothing about the session. */
const MOST_MINUTES = 240

/**
 * Minutes a session has taken so far: since its first set was logged, and what lies before that set as planned, getting warm and
 * setting up among it.
 *
 * Units: `now` in milliseconds since 1970. Edge: null before the first set, and after four hours.
 */
export function minutesSoFar(turns: readonly StandingTurn[], now: number): number | null {
  const logged = turns.flatMap(turn =>
    turn.parts.flatMap(({ standing }) =>
      standing ? [{ turn, at: instantSeconds(standing.at) }] : [],
    ),
  )
  if (logged.length === 0) return null
  const first = logged.reduce((earliest, one) => (one.at < earliest.at ? one : earliest))
  const before = (first.turn.start + first.turn.seconds) / 60
  const minutes = Math.max(1, Math.round((now / 1000 - first.at) / SECONDS_PER_MINUTE + before))
  return minutes <= MOST_MINUTES ? minutes : null
}
