import type { Exercise } from '../../../plan/catalogue'
import { kilogramsOf } from '../../../plan/estimate'
import { nominalReps, restSeconds, type SetRun, workStages } from '../../../plan/scheme'
import type { Rule } from '../finding'

/* Figures that are allowed but more likely a slip of the finger. */

/** More than a client of a studio lifts, by how the load is meant; kilograms. */
const MOST_LOAD = {
  total: 300,
  per_side: 150,
  per_hand: 70,
  added: 100,
  assisted: 120,
  stack: 250,
} as const
const MOST_REPS = 60
const LONG_REST = 600

function slipsOf(run: SetRun, { repUnit }: Exercise): readonly string[] {
  const stages = workStages(run)
  const reps = stages.map(stage => nominalReps(stage.reps))
  const isHeavy = stages.some(
    ({ load }) => load?.kind === 'weight' && kilogramsOf(load) > MOST_LOAD[load.basis],
  )
  const rest = run.restAfter && restSeconds(run.restAfter)
  return [
    ...(reps.includes(0) ? ['none'] : []),
    ...(repUnit === 'reps' && reps.some(count => count !== undefined && count > MOST_REPS)
      ? ['many']
      : []),
    ...(isHeavy ? ['heavy'] : []),
    ...(rest !== undefined && rest > LONG_REST ? ['rest'] : []),
  ]
}

const oddFigures: Rule = {
  id: 'odd-figures',
  reason: 'A figure far from the usual is more often a typing slip than a plan.',
  find: input =>
    input.sessions.flatMap(session =>
      session.slots.flatMap(({ slot, exercise }) =>
        [...new Set(slot.scheme.runs.flatMap(run => slipsOf(run, exercise)))].map(slip => ({
          place: { day: session.day, session: session.session, slot: slot.id },
          figures: { exercise: exercise.name, slip },
        })),
      ),
    ),
}

export const ODD_FIGURES: readonly Rule[] = [oddFigures]
