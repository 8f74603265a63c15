import type { Method } from './method'
import { COUNTING_SCHOOLS } from './school'

/* The five methods that come with the program. Every value is editable data; docs/methods.md#schools gives the reasons. */

/** The method of a new client. */
export const STEADY_MIDDLE: Method = {
  id: 'steady-middle', name: 'Steady middle', suits: 'Most clients.', school: COUNTING_SCHOOLS.fractional,
  dose: { bandScale: 1, setsPerExercise: [3, 4], minSetsPerExposure: 2, maxSetsPerExposure: 8, frequencyMin: 2 },
  effort: { defaultRir: 2, rirCompound: { from: 3, to: 1 }, rirIsolation: { from: 2, to: 1 }, lastSetToFailure: { fromWeek: 4 }, extendedMax: 1, extendedKinds: ['drop', 'rest_pause'], restricted: false },
  rest: { compoundHeavy: 150, compound: 120, isolation: 90, compoundMin: 120, isolationMin: 60 },
  pairing: { mode: 'alternating', circuits: false, inside: 60, after: 60 },
  order: { first: 'heavy', armPlacement: 'both', overhead: 'any', forearms: 'pullDay' },
  range: { lockout: 'full' }, form: { momentum: 'strict' }, tempo: [2, 0, 1, 0],
  reps: { compound: [6, 10], isolation: [10, 15], forearms: [12, 20] },
  progress: { compoundRule: 'double_progression', isolationRule: 'double_progression', setRamp: 'linear', setRampCap: 0.2, workingWeeks: 6, deloadWeeks: 1, alternation: 'none' },
  deload: { mode: 'both' }, recovery: { required: { lead: 90, other: 80, indirect: 65 }, onShortfall: 'move' },
  armCycle: { days: 'weekly' }, time: { generalWarmup: 240, compression: [1, 2, 3, 4, 6, 7, 8] },
  checks: { strictness: 'normal' }, joints: { setting: 'normal' }, ratioWish: 1.1,
}

export const FEW_HARD_SETS: Method = {
  id: 'few-hard-sets', name: 'Few hard sets', suits: 'Trained, careful clients who like high effort.', school: COUNTING_SCHOOLS.direct_only,
  dose: { bandScale: 0.6, setsPerExercise: [1, 2], minSetsPerExposure: 1, maxSetsPerExposure: 5, frequencyMin: 1.5 },
  effort: { defaultRir: 2, rirCompound: { from: 2, to: 1 }, rirIsolation: { from: 0, to: 0 }, lastSetToFailure: 'always', extendedMax: 1, extendedKinds: ['rest_pause'], restricted: false },
  rest: { compoundHeavy: 240, compound: 180, isolation: 180, compoundMin: 150, isolationMin: 120 },
  pairing: { mode: 'straight', circuits: false, inside: 60, after: 60 },
  order: { first: 'heavy', armPlacement: 'finisher', overhead: 'late', forearms: 'none' },
  range: { lockout: 'full' }, form: { momentum: 'strict' }, tempo: [3, 0, 1, 0],
  reps: { compound: [5, 8], isolation: [8, 12], forearms: [12, 15] },
  progress: { compoundRule: 'top_set_back_off', isolationRule: 'double_progression', setRamp: 'none', setRampCap: 0, workingWeeks: 8, deloadWeeks: 1, alternation: 'none' },
  deload: { mode: 'triggered' }, recovery: { required: { lead: 95, other: 85, indirect: 65 }, onShortfall: 'move' },
  armCycle: { days: 'weekly' }, time: { generalWarmup: 300, compression: [1, 2, 6, 7, 8] },
  checks: { strictness: 'normal' }, joints: { setting: 'normal' }, ratioWish: 1.1,
}

export const OWN_ARM_DAY: Method = {
  id: 'own-arm-day', name: 'Own arm day', suits: 'Arms as the goal, rotations of 6 to 9 days.', school: COUNTING_SCHOOLS.fractional,
  dose: { bandScale: 1.15, setsPerExercise: [3, 4], minSetsPerExposure: 3, maxSetsPerExposure: 11, frequencyMin: 1.5 },
  effort: { defaultRir: 2, rirCompound: { from: 3, to: 1 }, rirIsolation: { from: 2, to: 0 }, lastSetToFailure: { fromWeek: 3 }, extendedMax: 2, extendedKinds: ['drop', 'sevens', 'stretch_hold', 'rest_pause'], restricted: false },
  rest: { compoundHeavy: 150, compound: 120, isolation: 75, compoundMin: 120, isolationMin: 45 },
  pairing: { mode: 'superset', circuits: false, inside: 15, after: 75 },
  order: { first: 'primer', armPlacement: 'ownDay', overhead: 'late', forearms: 'armDay' },
  range: { lockout: 'shortOf' }, form: { momentum: 'lastReps' }, tempo: [2, 1, 1, 0],
  reps: { compound: [8, 12], isolation: [10, 15], forearms: [15, 20] },
  progress: { compoundRule: 'double_progression', isolationRule: 'double_progression', setRamp: 'linear', setRampCap: 0.2, workingWeeks: 5, deloadWeeks: 1, alternation: 'exposure' },
  deload: { mode: 'planned' }, recovery: { required: { lead: 90, other: 80, indirect: 65 }, onShortfall: 'swap_days' },
  armCycle: { days: [5, 8] }, time: { generalWarmup: 240, compression: [1, 2, 3, 4, 5, 6, 7, 8] },
  checks: { strictness: 'normal' }, joints: { setting: 'normal' }, ratioWish: 1.1,
}

export const COMPOUNDS_THEN_ARMS: Method = {
  id: 'compounds-then-arms', name: 'Compounds, then arms', suits: 'Beginners, back-first days, three or four days.', school: COUNTING_SCHOOLS.whole,
  dose: { bandScale: 0.8, setsPerExercise: [2, 3], minSetsPerExposure: 2, maxSetsPerExposure: 6, frequencyMin: 2 },
  effort: { defaultRir: 2, rirCompound: { from: 3, to: 2 }, rirIsolation: { from: 3, to: 1 }, lastSetToFailure: 'never', extendedMax: 0, extendedKinds: [], restricted: false },
  rest: { compoundHeavy: 150, compound: 120, isolation: 90, compoundMin: 120, isolationMin: 60 },
  pairing: { mode: 'straight', circuits: false, inside: 60, after: 60 },
  order: { first: 'heavy', armPlacement: 'finisher', overhead: 'late', forearms: 'pullDay' },
  range: { lockout: 'full' }, form: { momentum: 'strict' }, tempo: [2, 0, 1, 0],
  reps: { compound: [8, 12], isolation: [10, 15], forearms: [12, 20] },
  progress: { compoundRule: 'double_progression', isolationRule: 'fixed_load_add_reps', setRamp: 'step', setRampCap: 0.15, workingWeeks: 8, deloadWeeks: 0, alternation: 'none' },
  deload: { mode: 'triggered' }, recovery: { required: { lead: 85, other: 75, indirect: 60 }, onShortfall: 'cut_set' },
  armCycle: { days: 'weekly' }, time: { generalWarmup: 300, compression: [1, 2, 4, 6, 7, 8] },
  checks: { strictness: 'high' }, joints: { setting: 'normal' }, ratioWish: 1.1,
}

export const DENSE_AND_SHORT: Method = {
  id: 'dense-and-short', name: 'Dense and short', suits: 'Up to 45 minutes, little equipment.', school: COUNTING_SCHOOLS.stimulus,
  dose: { bandScale: 0.8, setsPerExercise: [2, 3], minSetsPerExposure: 2, maxSetsPerExposure: 8, frequencyMin: 2 },
  effort: { defaultRir: 2, rirCompound: { from: 3, to: 1 }, rirIsolation: { from: 2, to: 0 }, lastSetToFailure: 'always', extendedMax: 2, extendedKinds: ['drop', 'total_of_n'], restricted: false },
  rest: { compoundHeavy: 120, compound: 90, isolation: 60, compoundMin: 75, isolationMin: 30 },
  pairing: { mode: 'superset', circuits: true, inside: 10, after: 60 },
  order: { first: 'heavy', armPlacement: 'both', overhead: 'any', forearms: 'none' },
  range: { lockout: 'shortOf' }, form: { momentum: 'strict' }, tempo: [2, 0, 1, 0],
  reps: { compound: [8, 12], isolation: [12, 20], forearms: [15, 20] },
  progress: { compoundRule: 'double_progression', isolationRule: 'load_from_rir', setRamp: 'none', setRampCap: 0, workingWeeks: 6, deloadWeeks: 1, alternation: 'week' },
  deload: { mode: 'both' }, recovery: { required: { lead: 85, other: 80, indirect: 65 }, onShortfall: 'cut_set' },
  armCycle: { days: 'weekly' }, time: { generalWarmup: 120, compression: [1, 2, 3, 4, 5, 6, 7, 8] },
  checks: { strictness: 'normal' }, joints: { setting: 'normal' }, ratioWish: 1.1,
}

/** All methods that come with the program, the default first. */
export const METHODS: readonly Method[] = [STEADY_MIDDLE, FEW_HARD_SETS, OWN_ARM_DAY, COMPOUNDS_THEN_ARMS, DENSE_AND_SHORT]

/** The method with an id; one that is not known is the default. */
export function methodById(id: string | undefined): Method {
  return METHODS.find(method => method.id === id) ?? STEADY_MIDDLE
}

/** A method as it is followed while joints are to be spared; switched on by the coach or by a pain report. */
export function jointSparing(method: Method): Method {
  return {
    ...method,
    effort: { ...method.effort, extendedMax: 0 },
    order: { ...method.order, overhead: 'late' },
    range: { lockout: 'shortOf' }, form: { momentum: 'strict' },
    reps: { ...method.reps, isolation: [12, 20] },
    progress: { ...method.progress, alternation: 'exposure' },
    joints: { setting: 'sensitive' },
  }
}
