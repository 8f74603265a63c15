/** Months of training that an exercise asks for, and what is done instead before. */
interface LevelRow {
  readonly months: number
  readonly easier: string
}

/**
 * Exercises that are not for everybody yet, with the easier form to hand. What is not named here suits anybody who has been
 * shown it. R; source: docs/methods.md#exercises.
 */
const LEVELS: Readonly<Record<string, LevelRow>> = {
  bodyweight_extension: { months: 18, easier: 'pushdown_rope' },
  press_extension_hybrid: { months: 12, easier: 'narrow_push_up' },
  dip: { months: 6, easier: 'machine_dip' },
  bench_dip: { months: 6, easier: 'pushdown_bar' },
  lying_extension_behind_head: { months: 6, easier: 'overhead_extension_rope' },
  lying_extension_decline: { months: 6, easier: 'pushdown_rope' },
  lying_extension_cambered: { months: 6, easier: 'pushdown_bar' },
  elbows_out_extension: { months: 6, easier: 'pushdown_bar' },
  deadlift: { months: 6, easier: 'romanian_deadlift_dumbbell' },
  barbell_row: { months: 6, easier: 'chest_supported_row' },
  upright_row: { months: 6, easier: 'lateral_raise_dumbbell' },
  overhead_press_barbell: { months: 6, easier: 'machine_overhead_press' },
}

/** Easier forms of exercises that suit everybody, for those who cannot do them yet. */
const EASIER: Readonly<Record<string, string>> = {
  chin_up: 'assisted_chin_up',
  pull_up: 'assisted_chin_up',
  neutral_chin_up: 'assisted_chin_up',
  push_up: 'push_up_raised',
  narrow_push_up: 'push_up_raised',
  squat_barbell: 'squat_dumbbell_front',
  bench_press_barbell: 'machine_chest_press',
  narrow_grip_bench_press: 'machine_dip',
}

/** Months of training that an exercise asks for; 0 for what suits anybody. */
export const monthsFor = (exercise: string): number => LEVELS[exercise]?.months ?? 0

/** The easier form of an exercise; null where none is known. */
export const easierFormOf = (exercise: string): string | null =>
  LEVELS[exercise]?.easier ?? EASIER[exercise] ?? null
