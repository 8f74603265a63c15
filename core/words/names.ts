import type { SessionState } from '../body/log'
import type { BundleId, Equipment, Group, Muscle } from '../plan/catalogue'
import type {
  BandPosition,
  CountingSchoolId,
  Hindrance,
  Mode,
  PlanScope,
  TrainingAge,
} from '../plan/method'

/** Names of groups as a coach reads them. */
export const GROUP_NAMES: Readonly<Record<Group, string>> = {
  biceps: 'Biceps',
  elbow_flexors_other: 'Brachialis & brachioradialis',
  triceps: 'Triceps',
  forearms: 'Forearms',
  chest: 'Chest',
  delts_front: 'Front delts',
  delts_side: 'Side delts',
  delts_rear: 'Rear delts',
  lats: 'Lats',
  upper_back: 'Upper back',
  traps: 'Upper traps',
  lower_back: 'Lower back',
  abs: 'Abs',
  glutes: 'Glutes',
  quads: 'Quads',
  hamstrings: 'Hamstrings',
  calves: 'Calves',
}

/** Names of the heads a group opens to. */
export const MUSCLE_NAMES: Readonly<Record<Muscle, string>> = {
  biceps_long: 'Long head',
  biceps_short: 'Short head',
  brachialis: 'Brachialis',
  brachioradialis: 'Brachioradialis',
  triceps_long: 'Long head',
  triceps_lateral: 'Lateral head',
  triceps_medial: 'Medial head',
  wrist_flexors: 'Palm side',
  wrist_extensors: 'Back side',
  chest_clavicular: 'Upper chest',
  chest_sternocostal: 'Mid and lower chest',
  delt_front: 'Front delts',
  delt_side: 'Side delts',
  delt_rear: 'Rear delts',
  lats: 'Lats',
  upper_back: 'Upper back',
  traps_upper: 'Upper traps',
  spinal_erectors: 'Spinal erectors',
  abs: 'Abs',
  glutes: 'Glutes',
  quads: 'Quads',
  hamstrings: 'Hamstrings',
  calves: 'Calves',
}

/** Names of the folded rails. */
export const BUNDLE_NAMES: Readonly<Record<BundleId, string>> = {
  chest: 'Chest',
  back: 'Back',
  delts: 'Delts',
  legs: 'Legs',
  abs: 'Abs',
}

export const MODE_NAMES: Readonly<Record<Mode, string>> = {
  build: 'build up',
  keep: 'keep',
  maintain: 'maintain',
}

export const POSITION_NAMES: Readonly<Record<BandPosition, string>> = {
  below: 'under the floor',
  low: 'below target',
  on_target: 'on target',
  high: 'above target',
  above: 'over the ceiling',
}

export const SCHOOL_NAMES: Readonly<Record<CountingSchoolId, string>> = {
  direct_only: 'direct sets only',
  fractional: 'indirect sets in part',
  whole: 'every set whole',
  stimulus: 'weighed by effort and kind of set',
}

export const TRAINING_AGE_NAMES: Readonly<Record<TrainingAge, string>> = {
  new: 'under a year of training',
  mid: 'one to three years of training',
  adv: 'over three years of training',
}

export const EQUIPMENT_NAMES: Readonly<Record<Equipment, string>> = {
  assisted_station: 'assisted dip and pull-up station',
  ball: 'ball',
  band: 'bands',
  barbell: 'barbell',
  bench: 'bench',
  bodyweight: 'body weight',
  cable: 'cable',
  cambered_bar: 'cambered bar',
  cuffs: 'cuffs for restricted flow',
  decline_bench: 'decline bench',
  dip_bars: 'dip bars',
  dumbbell: 'dumbbells',
  fixed_bar: 'fixed bars',
  incline_bench: 'incline bench',
  kettlebell: 'kettlebells',
  machine: 'machines',
  plate: 'loose plates',
  preacher_bench: 'preacher bench',
  pull_up_bar: 'pull-up bar',
  rack: 'rack',
  rail_guided_barbell: 'rail-guided barbell',
  wrist_roller: 'wrist roller',
}

/** What a plan is for, as it is chosen on the profile. */
export const PLAN_SCOPE_NAMES: Readonly<Record<PlanScope, string>> = {
  whole_body: 'the whole body',
  upper_body: 'the upper body',
  arms: 'the arms, beside another programme',
}

export const HINDRANCE_NAMES: Readonly<Record<Hindrance, string>> = {
  energy_deficit: 'eating less than needed',
  age_50: 'age 50 to 59',
  age_60: 'age 60 or more',
  short_sleep: 'under 6 h of sleep',
}

/** How a credit is said: half credit, a quarter, three quarters, or the number. */
export function creditWords(credit: number): string {
  const words: Readonly<Record<string, string>> = {
    1: 'direct',
    0.75: 'at three quarters',
    0.5: 'at half',
    0.25: 'at a quarter',
  }
  return words[credit] ?? `at ${credit}`
}

/** What a list says of a session's state. */
export const SESSION_STATE_WORDS: Readonly<Record<SessionState, string>> = {
  planned: 'to come',
  sent: 'to come',
  opened: 'to come',
  begun: 'under way',
  part_done: 'part done',
  done: 'done',
  decided: 'let go',
  missed: 'missed',
}
