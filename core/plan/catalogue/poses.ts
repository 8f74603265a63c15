import { otherForms } from './exercises/variants'

/** How the body is held or supported. */
export type Posture =
  | 'standing'
  | 'seated'
  | 'lying'
  | 'incline'
  | 'chest_on_pad'
  | 'kneeling'
  | 'bent_over'
  | 'hanging'
  | 'supported'
  | 'floor'

/**
 * Joint angles in degrees, seen from the side facing right; what is left out is as the posture has it.
 *
 * - `torso`: from upright, forward positive; -90 is lying face up, 90 face down.
 * - `shoulder`: upper arm from hanging along the torso, forward positive; 90 straight ahead, 180 overhead.
 * - `elbow`, `knee`, `hip`: from straight, bending positive. `wrist`: towards the palm positive. `ankle`: heel raised positive.
 */
export interface Angles {
  readonly torso?: number
  readonly shoulder?: number
  readonly elbow?: number
  readonly wrist?: number
  readonly hip?: number
  readonly knee?: number
  readonly ankle?: number
}
/** A movement as it is drawn: where it starts and where it ends. */
export interface Pose {
  readonly posture: Posture
  /** Arms that move out to the sides are seen from the front; `shoulder` is then how far they are raised. */
  readonly view: 'side' | 'front'
  /** What stays where it is: the feet and the seat, or the hands. */
  readonly fixed: 'body' | 'hands'
  readonly start: Angles
  readonly end: Angles
}

type Written = readonly [posture: Posture, start: Angles, end: Angles, more?: 'front' | 'hands']

const curl = (shoulder: number, posture: Posture = 'standing', more: Angles = {}): Written => [
  posture,
  { shoulder, elbow: 5, ...more },
  { shoulder, elbow: 140, ...more },
]
const extension = (shoulder: number, posture: Posture = 'standing', more: Angles = {}): Written => [
  posture,
  { shoulder, elbow: 115, ...more },
  { shoulder, elbow: 5, ...more },
]

/** Movements by exercise; forms of one share its drawing unless they have their own. */
// prettier-ignore
const WRITTEN: Readonly<Record<string, Written>> = {
  barbell_curl: curl(0), cambered_bar_curl: curl(0), dumbbell_curl: curl(0), cable_curl: curl(0),
  hammer_curl: curl(0), rope_hammer_curl: curl(0), cross_body_hammer_curl: curl(10), reverse_curl: curl(0),
  rotating_curl: curl(0), band_curl: curl(0),
  incline_dumbbell_curl: curl(-35, 'incline'),
  preacher_curl_bar: curl(50, 'chest_on_pad', { torso: 15 }), preacher_curl_dumbbell: curl(50, 'chest_on_pad', { torso: 15 }),
  machine_curl: curl(60, 'seated'), concentration_curl: curl(55, 'seated', { torso: 40 }),
  chest_supported_curl: curl(50, 'chest_on_pad', { torso: 50 }),
  cable_curl_behind_body: curl(-30), cable_curl_high: curl(90),
  drag_curl: ['standing', { shoulder: 0, elbow: 5 }, { shoulder: -35, elbow: 115 }],

  pushdown_rope: extension(5), pushdown_bar: extension(5), pushdown_single: extension(5),
  pushdown_reverse_grip: extension(5), cross_cable_extension: extension(15), band_pushdown: extension(5),
  overhead_extension_rope: extension(165, 'standing', { torso: 15 }), overhead_extension_cable_single: extension(170),
  overhead_extension_dumbbell: extension(175, 'seated'), overhead_extension_dumbbell_single: extension(175, 'seated'),
  overhead_extension_cambered: extension(175, 'seated'),
  lying_extension_cambered: extension(90, 'lying'), lying_extension_behind_head: extension(120, 'lying'),
  lying_extension_dumbbell: extension(90, 'lying'), elbows_out_extension: extension(90, 'lying'),
  kickback_cable: extension(-5, 'bent_over', { torso: 60 }), kickback_dumbbell: extension(-5, 'bent_over', { torso: 70 }),
  press_extension_hybrid: ['lying', { shoulder: 30, elbow: 120 }, { shoulder: 90, elbow: 5 }],
  machine_triceps_extension: extension(60, 'seated'),
  bodyweight_extension: ['floor', { torso: 60, shoulder: 120, elbow: 110 }, { torso: 45, shoulder: 90, elbow: 5 }, 'hands'],

  dip: ['supported', { torso: 20, shoulder: -40, elbow: 95 }, { torso: 5, shoulder: 0, elbow: 5 }, 'hands'],
  bench_dip: ['supported', { torso: 0, shoulder: -60, elbow: 95, hip: 80, knee: 10 }, { torso: 0, shoulder: -20, elbow: 5, hip: 60, knee: 10 }, 'hands'],
  machine_dip: ['seated', { shoulder: -35, elbow: 95 }, { shoulder: 0, elbow: 10 }],

  bench_press_barbell: ['lying', { shoulder: 15, elbow: 100 }, { shoulder: 85, elbow: 5 }],
  bench_press_dumbbell: ['lying', { shoulder: 10, elbow: 100 }, { shoulder: 85, elbow: 5 }],
  narrow_grip_bench_press: ['lying', { shoulder: 10, elbow: 115 }, { shoulder: 85, elbow: 5 }],
  machine_chest_press: ['seated', { shoulder: 15, elbow: 105 }, { shoulder: 85, elbow: 10 }],
  push_up: ['floor', { torso: 80, shoulder: 35, elbow: 100 }, { torso: 65, shoulder: 80, elbow: 5 }, 'hands'],
  narrow_push_up: ['floor', { torso: 80, shoulder: 20, elbow: 115 }, { torso: 65, shoulder: 80, elbow: 5 }, 'hands'],
  incline_press_barbell: ['incline', { shoulder: 25, elbow: 105 }, { shoulder: 110, elbow: 5 }],
  incline_press_dumbbell: ['incline', { shoulder: 20, elbow: 105 }, { shoulder: 110, elbow: 5 }],
  incline_press_rail: ['incline', { shoulder: 25, elbow: 105 }, { shoulder: 110, elbow: 5 }],
  overhead_press_barbell: ['standing', { shoulder: 45, elbow: 130 }, { shoulder: 175, elbow: 5 }],
  overhead_press_dumbbell: ['seated', { shoulder: 55, elbow: 120 }, { shoulder: 175, elbow: 5 }],
  machine_overhead_press: ['seated', { shoulder: 55, elbow: 120 }, { shoulder: 170, elbow: 10 }],

  chin_up: ['hanging', { shoulder: 175, elbow: 5 }, { shoulder: 45, elbow: 130 }, 'hands'],
  pull_up: ['hanging', { shoulder: 175, elbow: 5 }, { shoulder: 40, elbow: 120 }, 'hands'],
  neutral_chin_up: ['hanging', { shoulder: 175, elbow: 5 }, { shoulder: 45, elbow: 130 }, 'hands'],
  assisted_chin_up: ['hanging', { shoulder: 175, elbow: 5, knee: 90 }, { shoulder: 45, elbow: 125, knee: 90 }, 'hands'],
  pulldown_wide: ['seated', { shoulder: 170, elbow: 10, torso: -10 }, { shoulder: 40, elbow: 110, torso: -15 }],
  pulldown_supinated: ['seated', { shoulder: 170, elbow: 10, torso: -10 }, { shoulder: 35, elbow: 130, torso: -15 }],
  pulldown_neutral: ['seated', { shoulder: 170, elbow: 10, torso: -10 }, { shoulder: 35, elbow: 125, torso: -15 }],
  seated_cable_row: ['seated', { shoulder: 80, elbow: 10, knee: 20, torso: 15 }, { shoulder: -15, elbow: 105, knee: 20 }],
  barbell_row: ['bent_over', { torso: 65, shoulder: 65, elbow: 5 }, { torso: 65, shoulder: -20, elbow: 100 }],
  dumbbell_row: ['bent_over', { torso: 75, shoulder: 75, elbow: 5 }, { torso: 75, shoulder: -15, elbow: 95 }],
  chest_supported_row: ['chest_on_pad', { torso: 50, shoulder: 55, elbow: 5 }, { torso: 50, shoulder: -20, elbow: 100 }],
  machine_row: ['seated', { shoulder: 80, elbow: 10 }, { shoulder: -20, elbow: 105 }],
  inverted_row: ['floor', { torso: -60, shoulder: 75, elbow: 5 }, { torso: -70, shoulder: 0, elbow: 110 }, 'hands'],
  face_pull: ['standing', { shoulder: 90, elbow: 10 }, { shoulder: 70, elbow: 120 }],
  straight_arm_pulldown: ['standing', { torso: 20, shoulder: 140, elbow: 10 }, { torso: 20, shoulder: 5, elbow: 10 }],
  pullover_dumbbell: ['lying', { shoulder: 165, elbow: 20 }, { shoulder: 90, elbow: 15 }],

  lateral_raise_dumbbell: ['standing', { shoulder: 10, elbow: 10 }, { shoulder: 88, elbow: 10 }, 'front'],
  lateral_raise_cable: ['standing', { shoulder: 5, elbow: 10 }, { shoulder: 88, elbow: 10 }, 'front'],
  lateral_raise_machine: ['seated', { shoulder: 10, elbow: 80 }, { shoulder: 88, elbow: 80 }, 'front'],
  front_raise: ['standing', { shoulder: 5, elbow: 8 }, { shoulder: 90, elbow: 8 }],
  upright_row: ['standing', { shoulder: 10, elbow: 10 }, { shoulder: 80, elbow: 120 }, 'front'],
  shrug_dumbbell: ['standing', { shoulder: 0, elbow: 0 }, { shoulder: 4, elbow: 12 }, 'front'],
  cable_fly: ['standing', { shoulder: 85, elbow: 15 }, { shoulder: 15, elbow: 15 }, 'front'],
  dumbbell_fly: ['lying', { shoulder: 20, elbow: 25 }, { shoulder: 88, elbow: 15 }],
  machine_fly: ['seated', { shoulder: 85, elbow: 20 }, { shoulder: 15, elbow: 20 }, 'front'],
  rear_fly_dumbbell: ['bent_over', { torso: 70, shoulder: 70, elbow: 15 }, { torso: 70, shoulder: 0, elbow: 15 }],
  rear_fly_machine: ['seated', { shoulder: 88, elbow: 10 }, { shoulder: 10, elbow: 10 }],

  wrist_curl: ['seated', { torso: 30, shoulder: 25, elbow: 65, wrist: -40 }, { torso: 30, shoulder: 25, elbow: 65, wrist: 50 }],
  reverse_wrist_curl: ['seated', { torso: 30, shoulder: 25, elbow: 65, wrist: 40 }, { torso: 30, shoulder: 25, elbow: 65, wrist: -45 }],
  wrist_roller: ['standing', { shoulder: 85, elbow: 5, wrist: 30 }, { shoulder: 85, elbow: 5, wrist: -30 }],
  dead_hang: ['hanging', { shoulder: 178, elbow: 2 }, { shoulder: 178, elbow: 2 }, 'hands'],
  farmers_carry: ['standing', { shoulder: 0, elbow: 0, hip: -10 }, { shoulder: 0, elbow: 0, hip: 15, knee: 15 }],

  squat_barbell: ['standing', { shoulder: 20, elbow: 140 }, { torso: 40, shoulder: 20, elbow: 140, hip: 110, knee: 115 }],
  machine_squat: ['standing', { shoulder: 20, elbow: 130 }, { torso: 20, shoulder: 20, elbow: 130, hip: 105, knee: 120 }],
  leg_press: ['incline', { hip: 110, knee: 105, shoulder: 10, elbow: 40 }, { hip: 60, knee: 10, shoulder: 10, elbow: 40 }],
  split_squat_rear_foot: ['standing', { shoulder: 0 }, { torso: 15, shoulder: 15, hip: 85, knee: 95 }],
  leg_extension: ['seated', { knee: 95, shoulder: 5 }, { knee: 5, shoulder: 5 }],
  leg_curl_lying: ['floor', { torso: 90, hip: 0, knee: 5, shoulder: 150, elbow: 60 }, { torso: 90, hip: 0, knee: 110, shoulder: 150, elbow: 60 }],
  leg_curl_seated: ['seated', { knee: 10, shoulder: 5 }, { knee: 110, shoulder: 5 }],
  romanian_deadlift: ['standing', { shoulder: 0 }, { torso: 75, shoulder: 75, hip: 85, knee: 15 }],
  deadlift: ['standing', { torso: 55, shoulder: 55, hip: 95, knee: 75 }, { shoulder: 0 }],
  hip_thrust: ['incline', { torso: -45, hip: 70, knee: 90, shoulder: 30, elbow: 20 }, { torso: -85, hip: 5, knee: 90, shoulder: 30, elbow: 20 }],
  back_extension: ['bent_over', { torso: 95, hip: 50, knee: 0, shoulder: 60, elbow: 110 }, { torso: 45, hip: 0, knee: 0, shoulder: 60, elbow: 110 }],
  calf_raise_standing: ['standing', { ankle: -10 }, { ankle: 40 }],
  calf_raise_seated: ['seated', { ankle: -10 }, { ankle: 40 }],
  calf_raise_press: ['incline', { hip: 60, knee: 5, ankle: -10 }, { hip: 60, knee: 5, ankle: 40 }],
  cable_crunch: ['kneeling', { torso: 10, shoulder: 150, elbow: 110 }, { torso: 85, shoulder: 150, elbow: 110 }],
  hanging_knee_raise: ['hanging', { shoulder: 178 }, { shoulder: 170, hip: 110, knee: 100 }, 'hands'],
cable_curl_lying: curl(15, 'lying'),
  ball_crunch: ['lying', { torso: -90, shoulder: 130, elbow: 120 }, { torso: -55, shoulder: 130, elbow: 120 }],
    plank: ['floor', { torso: 75, shoulder: 75, elbow: 90 }, { torso: 75, shoulder: 75, elbow: 90 }],

}

/** Where no movement is written, as for exercises of a coach's own: what most of its kind look like. */
const BY_PATTERN: Readonly<Record<string, string>> = {
  curl: 'dumbbell_curl',
  elbow_extension: 'pushdown_bar',
  dip: 'dip',
  horizontal_press: 'bench_press_dumbbell',
  incline_press: 'incline_press_dumbbell',
  vertical_press: 'overhead_press_dumbbell',
  vertical_pull: 'pulldown_wide',
  horizontal_pull: 'seated_cable_row',
  raise: 'lateral_raise_dumbbell',
  wrist: 'wrist_curl',
  grip: 'dead_hang',
  fly: 'cable_fly',
  rear_raise: 'rear_fly_dumbbell',
  pullover: 'straight_arm_pulldown',
  shrug: 'shrug_dumbbell',
  squat: 'squat_barbell',
  lunge: 'split_squat_rear_foot',
  knee_extension: 'leg_extension',
  knee_flexion: 'leg_curl_seated',
  hinge: 'romanian_deadlift',
  hip_extension: 'hip_thrust',
  calf: 'calf_raise_standing',
  trunk: 'plank',
  carry: 'farmers_carry',
}

function poseFrom([posture, start, end, more]: Written): Pose {
  return {
    posture,
    start,
    end,
    view: more === 'front' ? 'front' : 'side',
    fixed: more === 'hands' ? 'hands' : 'body',
  }
}

/** How an exercise is drawn; a form of another as that one, what nothing is written of as its kind; undefined for a kind without drawing. */
export function poseOf({
  id,
  pattern,
}: {
  readonly id: string
  readonly pattern: string
}): Pose | undefined {
  const [form] = otherForms(id)
  const written =
    WRITTEN[id] ??
    (form === undefined ? undefined : WRITTEN[form]) ??
    WRITTEN[BY_PATTERN[pattern] ?? '']
  return written && poseFrom(written)
}
