import type { LoggedSet } from '../../body/log'
import type { BlockSession } from '../../design/progress'
import { nominalReps, type SetRun, workStages } from '../../plan/scheme'
import type { SessionOutcome } from './reviewed'

/** What came of a session of the plan; undefined where nothing is known. */
export function outcomeOf(
  { day, place }: Pick<BlockSession, 'day' | 'place'>,
  outcomes: readonly SessionOutcome[],
): SessionOutcome | undefined {
  return outcomes.find(outcome => outcome.day === day && outcome.place === place)
}

/** First parts of working sets; of two arms the left one. */
export function isWorkingSet({ role, stage, side }: LoggedSet): boolean {
  return role === 'working' && stage === 1 && side !== 'right'
}

/** Fewest reps a run asks for; undefined where it asks for none. */
export function lowEnd(run: SetRun): number | undefined {
  const wanted = workStages(run)[0]?.reps
  return wanted?.kind === 'between' ? wanted.low : nominalReps(wanted)
}
