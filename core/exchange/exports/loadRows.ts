import { requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { sessionSlots } from '../../plan/session'
import { loadsInPass, type SlotLoads } from '../../design/loads'
import type { ExpandedBlock } from '../../design/progress'
import { loadRowWords } from '../../words'
import type { Row } from './planRows'

/** One row for each exercise, a column for each rotation: the loads the Loads view shows, in its words. */
export function loadRows(
  { passes }: ExpandedBlock,
  ahead: ReadonlyMap<string, ReadonlyMap<string, SlotLoads>>,
  context: PlanContext,
): readonly Row[] {
  const exercises = new Set(
    passes.flatMap(({ sessions }) =>
      sessions.flatMap(({ content, isSkipped }) =>
        isSkipped ? [] : sessionSlots(content).map(({ exercise }) => exercise as string),
      ),
    ),
  )
  return [...exercises].map(exercise => ({
    exercise: requireExercise(context.catalogue, exercise).name,
    exercise_id: exercise,
    ...Object.fromEntries(
      passes.map(pass => [
        `rotation_${pass.at + 1}`,
        [...new Set(loadsInPass(pass, exercise, ahead).map(loadRowWords))].join('; '),
      ]),
    ),
  }))
}
