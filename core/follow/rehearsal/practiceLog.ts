import { requireExercise } from '../../plan/catalogue'
import { loadGrid, roundLoad } from '../../plan/estimate'
import type { LoggedSet } from '../../body/log'
import type { PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import type { BlockSession } from '../../design/progress'
import type { RehearsalData } from './rehearsalData'
import { rehearsedRun, type RehearsedOutcome, type RehearsedSet } from './run'

/** A session of a simulated client, as a log keeps it. */
export interface PracticeSession {
  readonly session: BlockSession
  readonly isMissed: boolean
  readonly sets: readonly LoggedSet[]
  readonly isRecovered: boolean | null
  readonly minutes: number | null
}

/** What is taken for an exercise nobody has an estimate of. Units: kilograms. */
const USUAL_STRENGTH = { compound: 60, isolation: 25 } as const

function loggedSet(
  { slot: { slot }, set, load, reps, rir }: RehearsedSet,
  strengths: ReadonlyMap<string, number>,
  context: PlanContext,
): LoggedSet {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const grid = loadGrid(exercise, 'kg')
  const oneRep = strengths.get(slot.exercise) ?? USUAL_STRENGTH[exercise.kind]
  return {
    slot: slot.id,
    exercise: slot.exercise,
    intent: slot.intent,
    set,
    stage: 1,
    side: null,
    role: 'working',
    loadKg: grid.kind === 'none' ? null : roundLoad(load * oneRep, grid),
    reps: exercise.repUnit === 'reps' ? reps : null,
    seconds: exercise.repUnit === 'reps' ? null : reps * 3,
    rir,
    isRirOpen: false,
  }
}

/**
 * The log a simulated client would have written, session by session.
 *
 * Units: kilograms and reps as they are written down; loads that can be loaded.
 * Edge:  the same seed writes the same log; an exercise without an estimate is taken at a usual strength.
 */
export function practiceLog(
  data: RehearsalData,
  seed: number,
  strengths: ReadonlyMap<string, number>,
  context: PlanContext,
): readonly PracticeSession[] {
  const outcomes: RehearsedOutcome[] = []
  rehearsedRun(data, seed, { keep: outcome => outcomes.push(outcome) })
  return outcomes.map(({ session: { session }, isMissed, sets, isRecovered }): PracticeSession => ({
    session,
    isMissed,
    isRecovered,
    sets: sets.map(set => loggedSet(set, strengths, context)),
    minutes: isMissed ? null : Math.round(sessionSeconds(session.content, context) / 60),
  }))
}
