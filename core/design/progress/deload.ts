import { roundHalfUp } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import { loadGrid, roundLoad } from '../../plan/estimate'
import type { Band, PlanContext } from '../../plan/method'
import { leadRir, plannedSets, type SetRun, type SetScheme, workStages } from '../../plan/scheme'
import type { Slot } from '../../plan/session'

/** Parts of a deload; rules of thumb. Source: docs/methods.md#block. */
export const DELOAD = { sets: 0.5, load: 0.9, rir: 4 } as const

/** What easier days leave of a band, as shares of its target: half the sets, a little less or more. */
const DELOAD_BAND = { floor: 0.4, target: 0.55, ceiling: 0.7 } as const

/** The band of easier days. Units: those of the band. */
export function deloadBand({ target }: Band): Band {
  return {
    floor: target * DELOAD_BAND.floor,
    target: target * DELOAD_BAND.target,
    ceiling: target * DELOAD_BAND.ceiling,
  }
}
/** Half the sets, straight, far from failure, with a tenth less load. Example P19. */
export function deloadScheme(
  scheme: SetScheme,
  slot: Pick<Slot, 'exercise'>,
  context: PlanContext,
): SetScheme {
  const first = scheme.runs.find(({ role }) => role !== 'warmup')
  const lead = first && workStages(first)[0]
  if (!first || !lead) return scheme
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const { load } = lead
  const lighter =
    load?.kind === 'weight'
      ? {
          ...load,
          amount: roundLoad(
            load.amount * DELOAD.load,
            loadGrid(exercise, load.unit, context.client.gear),
            'down',
          ),
        }
      : load
  const reps =
    lead.reps?.kind === 'to_failure' || lead.reps?.kind === 'same_as'
      ? { kind: 'between' as const, low: exercise.repRange[0], high: exercise.repRange[1] }
      : lead.reps
  const { protocol: _protocol, countRange: _range, ...plain } = first
  const run: SetRun = {
    ...plain,
    count: Math.max(1, roundHalfUp(plannedSets(scheme) * DELOAD.sets)),
    stages: [
      {
        ...lead,
        ...(reps && { reps }),
        ...(lighter && { load: lighter }),
        effort: { kind: 'rir', rir: Math.max(DELOAD.rir, leadRir(first) ?? 0) },
      },
    ],
  }
  return { ...scheme, runs: [...scheme.runs.filter(({ role }) => role === 'warmup'), run] }
}
