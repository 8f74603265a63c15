import { plainDate } from '../base'
import type { PlanDocument } from '../plan/block'
import { planIn, written } from './shorthandPlans'

/** A week of four days in which every muscle of the upper body is trained directly twice, arms the day after; so many sets an exercise. */
export function decisionWeek(sets: number, passes: number): PlanDocument {
  const plan = planIn(
    7,
    written(
      'upper',
      `bench_press_dumbbell ${sets} x 8-12, rir 2`,
      `chest_supported_row ${sets} x 8-12, rir 2`,
      `lateral_raise_dumbbell ${sets} x 12-15, rir 1`,
    ),
    written(
      'arms',
      `barbell_curl ${sets} x 8-12, rir 1`,
      `lying_extension_cambered ${sets} x 8-12, rir 1`,
      `wrist_curl ${sets} x 12-15, rir 1`,
    ),
    { role: 'rest', sessions: [] },
    written(
      'upper',
      `incline_press_dumbbell ${sets} x 8-12, rir 2`,
      `pulldown_wide ${sets} x 8-12, rir 2`,
      `rear_fly_dumbbell ${sets} x 12-15, rir 1`,
    ),
    written(
      'arms',
      `incline_dumbbell_curl ${sets} x 10-12, rir 1`,
      `pushdown_rope ${sets} x 10-15, rir 1`,
    ),
  )
  const { block: _, ...bare } = plan
  return { ...bare, startsOn: plainDate('2026-01-05'), passes }
}
