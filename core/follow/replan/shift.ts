import { addDays, type PlainDate } from '../../base'
import type { BlockSession } from '../../design/progress'
import { sessionWorth } from '../../design/short'
import { missedSession, sessionsAhead } from './ahead'
import type { Construction, Move, Place, ReplanQuestion } from './replan'

const placeOf = ({ pass, day, place }: Place): Place => ({ pass, day, place })

/** Sessions pushed on day by day, until a day that was free takes the delay up. */
function pushed(
  missed: BlockSession,
  later: readonly BlockSession[],
  { today, isClosed }: ReplanQuestion,
): readonly (Move & { readonly session: BlockSession })[] {
  const open = (date: PlainDate): PlainDate => (isClosed(date) ? open(addDays(date, 1)) : date)
  const first = open(addDays(missed.on, 1) < today ? today : addDays(missed.on, 1))
  const moves = [{ ...placeOf(missed), on: first, session: missed }]
  let taken = first
  for (const session of later) {
    if (session.on > taken) break
    taken = open(addDays(taken, 1))
    moves.push({ ...placeOf(session), on: taken, session })
  }
  return moves
}

/**
 * The missed session on the next day, every later one a day on until a rest day takes the delay up.
 *
 * Edge:   where a rotation keeps to its weekdays and has no rest day left, the session worth least makes room;
 *         a floating rotation ends a day later.
 * Source: docs/methods.md#missed-session; example A-14.
 */
export function shifted(question: ReplanQuestion): Construction | undefined {
  const missed = missedSession(question)
  if (!missed) return undefined
  const later = sessionsAhead(question)
  const own = later.filter(({ pass }) => pass === missed.pass)
  const all = pushed(missed, later, question)
  const plain = (moves: typeof all, dropped: readonly Place[]): Construction => ({
    option: 'shift',
    moves: moves.map(({ session: _, ...move }) => move),
    refilled: [],
    dropped,
  })
  const passEnd = question.expanded.passes[missed.pass]?.to ?? missed.on
  const leavesWeek =
    question.isAnchored &&
    all.some(({ session, on }) => session.pass === missed.pass && on > passEnd)
  if (!leavesWeek) return plain(all, [])
  const [least] = [...own].sort(
    (a, b) =>
      sessionWorth(a.content, question.context) - sessionWorth(b.content, question.context) ||
      b.on.localeCompare(a.on),
  )
  if (!least) return undefined
  return plain(
    pushed(
      missed,
      own.filter(session => session !== least),
      question,
    ),
    [placeOf(least)],
  )
}
