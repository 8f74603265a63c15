import { mapNonEmpty } from '../../base'
import { leadRir, type SetRun, type SetScheme, type Stage, withoutWeights } from '../../plan/scheme'

/* The same sets in another form, for an exercise that is swapped or eased. */

const LOWERING_SECONDS = 5
/** What stays in reserve while a joint hurts. */
const EASED_RIR = 4

function changedStages(run: SetRun, change: (stage: Stage) => Stage): SetRun {
  return { ...run, stages: mapNonEmpty(run.stages, change) }
}

/** The same sets with more in reserve, without drops and the like, found anew with less weight. */
export function eased(scheme: SetScheme): SetScheme {
  const { runs, ...rest } = withoutWeights(scheme)
  return {
    ...rest,
    runs: runs.map(run => {
      const [first] = run.stages
      if (run.role === 'warmup' || first.kind !== 'work') return run
      const rir = Math.max(EASED_RIR, leadRir(run) ?? 0)
      return { ...run, stages: [{ ...first, effort: { kind: 'rir', rir } }] }
    }),
  }
}

/** Rule B1: helped up, lowered slowly. */
export function loweringOnly(scheme: SetScheme): SetScheme {
  return {
    ...scheme,
    runs: scheme.runs.map(run =>
      run.role === 'warmup'
        ? run
        : changedStages(run, stage =>
            stage.kind === 'work'
              ? {
                  ...stage,
                  form: 'lowering_only',
                  tempo: { ...stage.tempo, lower: LOWERING_SECONDS },
                }
              : stage,
          ),
    ),
  }
}
