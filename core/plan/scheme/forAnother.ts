import { mapNonEmpty } from '../../base'
import type { SetScheme } from './setScheme'
import type { WorkStage } from './stage'

function changed(scheme: SetScheme, change: (stage: WorkStage) => WorkStage): SetScheme {
  return {
    ...scheme,
    runs: scheme.runs.map(run => ({
      ...run,
      stages: mapNonEmpty(run.stages, stage => (stage.kind === 'work' ? change(stage) : stage)),
    })),
  }
}

/** The same sets with their weights open, to be found anew; reps, effort and pace stay, and shares of a load or a maximum. */
export function withoutWeights(scheme: SetScheme): SetScheme {
  const { loadStep: _, ...rest } = scheme
  return changed(rest, stage => {
    if (stage.load?.kind !== 'weight' && stage.load?.kind !== 'stack_position') return stage
    const { load: _load, ...open } = stage
    return open
  })
}

/**
 * The same sets for another exercise: weights, set-up and handle belong to the one they were planned for and go; a
 * weight kept by mistake could be twice what the other arm or machine bears.
 */
export function forAnotherExercise(scheme: SetScheme): SetScheme {
  return changed(
    withoutWeights(scheme),
    ({ setUp: _setUp, attachment: _handle, position: _place, ...stage }) => stage,
  )
}

/** What is set for one body: it says nothing about another. */
const OF_ONE_BODY = ['seat', 'pad', 'hands'] as const

/** The same sets for another client: weights are found anew, and seat, pad and width of the hands set anew. */
export function forAnotherClient(scheme: SetScheme): SetScheme {
  return changed(withoutWeights(scheme), stage => {
    if (!stage.setUp) return stage
    const { setUp, ...others } = stage
    const kept = Object.fromEntries(
      Object.entries(setUp).filter(([what]) => !(OF_ONE_BODY as readonly string[]).includes(what)),
    )
    return Object.keys(kept).length > 0 ? { ...others, setUp: kept } : others
  })
}

/** How an exercise is held and set up; what is left out is as usual. */
export type DoneAs = Pick<WorkStage, 'grip' | 'gripWidth' | 'attachment' | 'setUp'>

/** The same sets held and set up otherwise, their weights to be found anew: another grip or angle bears another one. */
export function doneAs(scheme: SetScheme, { setUp, ...held }: DoneAs): SetScheme {
  return changed(withoutWeights(scheme), stage => ({
    ...stage,
    ...held,
    ...((setUp ?? stage.setUp) && { setUp: { ...stage.setUp, ...setUp } }),
  }))
}
