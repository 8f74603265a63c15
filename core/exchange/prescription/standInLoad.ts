import type { PlainDate } from '../../base'
import type { Exposure } from '../../body/log'
import { carefulOneRep, scaleOf } from '../../design/loads'
import type { Exercise } from '../../plan/catalogue'
import { loadForReps, roundLoad } from '../../plan/estimate'
import type { PlanContext } from '../../plan/method'
import type { WeightUnit } from '../../plan/scheme'

/** A load for a movement that stands in, from its own log, never over the coach's limit; null where it has none. */
export function standInLoad(
  exercise: Exercise,
  {
    log,
    on,
    context,
    unit,
  }: {
    readonly log: ReadonlyMap<string, readonly Exposure[]>
    readonly on: PlainDate
    readonly context: PlanContext
    readonly unit: WeightUnit
  },
  aim: { readonly reps: number; readonly rir: number },
): number | null {
  const scale = scaleOf(null, exercise, context, { unit, bodyKg: null })
  const own = (log.get(exercise.id) ?? []).filter(exposure => exposure.on < on)
  const oneRep = carefulOneRep(own, new Set(), scale)
  if (oneRep === undefined || scale.grid.kind === 'none') return null
  return Math.min(roundLoad(loadForReps(oneRep, aim.reps, aim.rir), scale.grid, 'down'), scale.most)
}
