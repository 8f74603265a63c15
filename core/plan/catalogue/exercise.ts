import type { Group, Muscle } from './muscles'
import type { Joint } from './joints'

export const PATTERNS = [
  'curl',
  'elbow_extension',
  'dip',
  'horizontal_press',
  'incline_press',
  'vertical_press',
  'vertical_pull',
  'horizontal_pull',
  'raise',
  'wrist',
  'grip',
  'fly',
  'rear_raise',
  'pullover',
  'shrug',
  'squat',
  'lunge',
  'knee_extension',
  'knee_flexion',
  'hinge',
  'hip_extension',
  'calf',
  'trunk',
  'carry',
] as const
export type Pattern = (typeof PATTERNS)[number]

export const EQUIPMENT = [
  'assisted_station',
  'ball',
  'band',
  'barbell',
  'bench',
  'bodyweight',
  'cable',
  'cambered_bar',
  'cuffs',
  'decline_bench',
  'dip_bars',
  'dumbbell',
  'fixed_bar',
  'incline_bench',
  'kettlebell',
  'machine',
  'plate',
  'preacher_bench',
  'pull_up_bar',
  'rack',
  'rail_guided_barbell',
  'wrist_roller',
] as const
export type Equipment = (typeof EQUIPMENT)[number]

/** What an exercise can hurt, with the sentence that is shown; keyed by id (docs/methods.md#cautions). */
export const CAUTIONS = {
  anchor_and_band_check:
    'Check band or strap and anchor before the first set. Face away from the line of a snapping band.',
  biceps_loaded_stretch:
    'Loaded stretch of the biceps: start light, no bounce at the bottom, never drop into a straight elbow.',
  dumbbell_hand_over:
    'Heavy dumbbells: have them handed over or kick them up from the knee; near failure only with a clear floor.',
  deep_elbow_bend:
    'Deep elbow bend under load: warm up with a light pushdown; shorten the range if the back of the elbow complains.',
  fail_needs_safety:
    'Bar over the body: failure only with safety arms at the right height or a spotter.',
  grip_gives_out_first:
    'Grip may end the set before the target muscle: straps, or stop counting it as near failure.',
  weight_over_face:
    'Weight passes over the face: collars on, thumb round the bar, stop one rep early when alone.',
  knee_tolerance: 'Use the depth and stance the knee tolerates.',
  trunk_position: 'End the set when the trunk position is lost.',
  body_swing:
    'Swinging moves the load from the arm to the back: set ends when the trunk starts to help, unless the method allows it.',
  not_behind_neck: 'Pull to the front, not behind the neck.',
  overhead_range: 'Needs pain-free overhead range; leave 1-2 reps in reserve.',
  shoulder_stretch:
    'Deep shoulder stretch: limit the depth, avoid with pain at the front of the shoulder.',
  thumb_round_bar: 'Thumb round the bar; no thumbless grip.',
  elbow_height_limit: 'Elbows no higher than the shoulders.',
  wrist_angle: 'Keep the wrist straight; a cambered bar, rope or dumbbells are kinder.',
} as const
export type CautionId = keyof typeof CAUTIONS

/** Share of a set that each group gets: 1 is direct, anything between 0 and 1 indirect, absent is nothing. */
export type Credits = Readonly<Partial<Record<Group, number>>>

/** How a group's sets fall on its heads; shares of a group add up to 1; groups with one muscle are left out. */
export type HeadShares = Readonly<Partial<Record<Group, Readonly<Partial<Record<Muscle, number>>>>>>

/** What a movement does to muscles and joints when it is done with one purpose; complete, nothing is merged. */
export interface Intent {
  readonly id: string
  readonly name: string
  readonly how: string
  readonly credits: Credits
  readonly headShares: HeadShares
  /** Where in the direct muscle's range the exercise is hardest. */
  readonly lengthBias: 'lengthened' | 'mid' | 'shortened'
  /** 0 none, 1 low, 2 medium, 3 high, at a usual load. */
  readonly jointStress: Readonly<Record<Joint, 0 | 1 | 2 | 3>>
}

/** One exercise of the library, built in or added by a coach. The first intent is the default one. */
export interface Exercise {
  readonly id: string
  readonly name: string
  readonly aliases: readonly string[]
  readonly pattern: Pattern
  readonly kind: 'compound' | 'isolation'
  readonly equipment: readonly Equipment[]
  readonly laterality: 'bilateral' | 'unilateral' | 'either'
  readonly setupSeconds: number
  readonly repUnit: 'reps' | 'seconds'
  readonly repRange: readonly [low: number, high: number]
  readonly restSeconds: number
  /** Kilograms per step; 0 where the load is not in kilograms (bands, angles). */
  readonly loadStepKg: number
  readonly loadBasis: 'total' | 'per_hand' | 'stack' | 'added' | 'counterweight' | 'band' | 'angle'
  readonly cautions: readonly CautionId[]
  /** Ids of exercises that can stand in, best first. */
  readonly substitutes: readonly string[]
  readonly intents: readonly [Intent, ...Intent[]]
}

const OVERHEAD = /^(overhead_extension_|lying_extension_behind_head|bodyweight_extension)/
/** Extensions with the arm overhead or the bar behind the head. */
export const isOverhead = (exercise: string): boolean => OVERHEAD.test(exercise)

/** Free weights above the head: put down before the form breaks, not after. */
export const isFreeOverhead = ({ cautions, pattern, equipment }: Exercise): boolean =>
  (cautions.includes('overhead_range') || pattern === 'vertical_press') &&
  equipment.some(piece => piece === 'barbell' || piece === 'dumbbell' || piece === 'cambered_bar')
