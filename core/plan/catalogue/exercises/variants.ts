import { assert, mapNonEmpty } from '../../../base'
import type { Credits, Exercise, HeadShares, Intent } from '../exercise'
import { type Joint, JOINTS } from '../joints'
import { ELBOW_EXTENSION } from './elbowExtension'
import { ELBOW_FLEXION } from './elbowFlexion'
import { PRESSES } from './presses'
import { PULLS } from './pulls'
import { REST_OF_BODY } from './restOfBody'
import { WRIST_AND_GRIP } from './wristAndGrip'

type BaseId = (
  | (typeof ELBOW_EXTENSION)[number]
  | (typeof ELBOW_FLEXION)[number]
  | (typeof PRESSES)[number]
  | (typeof PULLS)[number]
  | (typeof REST_OF_BODY)[number]
  | (typeof WRIST_AND_GRIP)[number]
)['id']

const BASES: readonly Exercise[] = [
  ...ELBOW_EXTENSION,
  ...ELBOW_FLEXION,
  ...PRESSES,
  ...PULLS,
  ...REST_OF_BODY,
  ...WRIST_AND_GRIP,
]

/** What is done otherwise than in the exercise a variant is made from; its usual purpose is the only one. */
interface Changes
  extends Partial<
    Pick<
      Exercise,
      | 'aliases'
      | 'equipment'
      | 'kind'
      | 'laterality'
      | 'setupSeconds'
      | 'repRange'
      | 'restSeconds'
      | 'loadStepKg'
      | 'loadBasis'
      | 'cautions'
      | 'substitutes'
    >
  > {
  readonly how?: string
  readonly length?: Intent['lengthBias']
  readonly stress?: Readonly<Partial<Record<Joint, Intent['jointStress'][Joint]>>>
  readonly credits?: Credits
  readonly heads?: HeadShares
}

const BASE_OF = new Map<string, BaseId>()

/** All forms of the movement an exercise is one form of, the exercise itself left out; the one they are made from first. */
export function otherForms(id: string): readonly string[] {
  const base = BASE_OF.get(id) ?? id
  const forms = [...BASE_OF].flatMap(([variant, from]) => (from === base ? [variant] : []))
  return [base, ...forms].filter(form => form !== id)
}

/** One exercise after another, under a name of its own; it stands in for its base first, then for what stands in for that. */
function variant<const Id extends string>(
  id: Id,
  name: string,
  from: BaseId,
  { how, length, stress, credits, heads, ...changes }: Changes,
): Exercise & { readonly id: Id } {
  BASE_OF.set(id, from)
  const base = BASES.find(exercise => exercise.id === from)
  assert(base, `no exercise ${from}`)
  const [usual] = base.intents
  const intent: Intent = {
    ...usual,
    id: 'default',
    name: 'as usual',
    how: how ?? '',
    lengthBias: length ?? usual.lengthBias,
    credits: credits ?? usual.credits,
    headShares: heads ?? usual.headShares,
    jointStress: { ...usual.jointStress, ...stress },
  }
  return {
    ...base,
    aliases: [],
    ...changes,
    id,
    name,
    substitutes: changes.substitutes ?? [from, ...base.substitutes.filter(other => other !== from)],
    intents: mapNonEmpty([intent], own => ({
      ...own,
      jointStress: Object.fromEntries(
        JOINTS.map(joint => [joint, own.jointStress[joint]]),
      ) as Intent['jointStress'],
    })),
  }
}

const CABLE = { equipment: ['cable'], loadBasis: 'stack', loadStepKg: 2.5 } as const
const BAND = { equipment: ['band'], loadBasis: 'band', loadStepKg: 0, repRange: [15, 25], setupSeconds: 25, cautions: ['anchor_and_band_check'] } as const
const DUMBBELLS = { equipment: ['dumbbell'], loadBasis: 'per_hand', loadStepKg: 2 } as const
const ONE_ARM = { laterality: 'unilateral', restSeconds: 45 } as const
const RAIL = { equipment: ['rail_guided_barbell', 'bench'], loadBasis: 'total', loadStepKg: 2.5 } as const
const HAMMER = {
  credits: { elbow_flexors_other: 1, biceps: 0.75, forearms: 0.25 },
  heads: { elbow_flexors_other: { brachialis: 0.45, brachioradialis: 0.55 }, biceps: { biceps_long: 0.55, biceps_short: 0.45 }, forearms: { wrist_flexors: 0.5, wrist_extensors: 0.5 } },
} as const
const PRESS_FOR_TRICEPS = {
  credits: { triceps: 1, chest: 0.5, delts_front: 0.5 },
  heads: { triceps: { triceps_long: 0.22, triceps_lateral: 0.43, triceps_medial: 0.35 }, chest: { chest_clavicular: 0.25, chest_sternocostal: 0.75 } },
} as const

/**
 * The same movements with another implement, one arm at a time, lying, or under another angle. Values follow the exercise
 * they are made from, changed where the set-up changes them: rules of thumb, docs/methods.md#exercises.
 */
// prettier-ignore
export const VARIANTS = [
  variant('floor_press_dumbbell', 'Floor press, dumbbells', 'bench_press_dumbbell', { ...DUMBBELLS, aliases: ['press from the floor'], how: 'upper arms come to rest on the floor in every rep', length: 'mid', stress: { shoulder: 1 } }),
  variant('floor_press_narrow', 'Narrow floor press, barbell', 'narrow_grip_bench_press', { equipment: ['barbell', 'rack'], how: 'upper arms come to rest on the floor in every rep', stress: { shoulder: 1 } }),
  variant('narrow_press_rail', 'Narrow press, rail-guided barbell', 'narrow_grip_bench_press', { ...RAIL, setupSeconds: 60, cautions: ['thumb_round_bar', 'wrist_angle'] }),
  variant('incline_press_rail_narrow', 'Narrow incline press, rail-guided barbell', 'incline_press_rail', { ...PRESS_FOR_TRICEPS, stress: { elbow_extensor_side: 2, wrist: 2 }, substitutes: ['narrow_grip_bench_press', 'machine_dip', 'dip'] }),
  variant('bench_press_rail', 'Bench press, rail-guided barbell', 'bench_press_barbell', { ...RAIL, setupSeconds: 60 }),
  variant('cross_body_press_single', 'One-arm across-body press, cable', 'machine_chest_press', { ...CABLE, ...ONE_ARM, aliases: ['one-arm cable press'], how: 'press forward and across the breastbone', setupSeconds: 35 }),
  variant('band_press', 'Band press', 'machine_chest_press', { ...BAND, length: 'shortened' }),
  variant('push_up_raised', 'Push-up, hands raised', 'push_up', { aliases: ['easier push-up'], how: 'hands on a bench or a bar' }),
  variant('cable_curl_lying', 'Lying cable curl', 'cable_curl', { aliases: ['cable curl on the floor'], how: 'on the back, feet at the pulley, upper arms on the floor', setupSeconds: 35, stress: { wrist: 1 } }),
  variant('cable_curl_single', 'One-arm cable curl', 'cable_curl', { ...ONE_ARM }),
  variant('preacher_curl_dumbbells', 'Preacher curl, two dumbbells', 'preacher_curl_dumbbell', { laterality: 'bilateral', restSeconds: 75 }),
  variant('preacher_hammer_curl', 'Preacher hammer curl', 'preacher_curl_dumbbell', { ...HAMMER, substitutes: ['hammer_curl', 'rope_hammer_curl', 'cross_body_hammer_curl'] }),
  variant('incline_hammer_curl', 'Incline hammer curl', 'incline_dumbbell_curl', { ...HAMMER, length: 'mid', substitutes: ['hammer_curl', 'rope_hammer_curl', 'cross_body_hammer_curl'] }),
  variant('band_hammer_curl', 'Band hammer curl', 'hammer_curl', { ...BAND, ...HAMMER, length: 'shortened' }),
  variant('drag_curl_dumbbell', 'Drag curl, dumbbells', 'drag_curl', { ...DUMBBELLS, cautions: [], setupSeconds: 20, stress: { wrist: 1 } }),
  variant('reverse_curl_dumbbell', 'Reverse curl, dumbbells', 'reverse_curl', { ...DUMBBELLS, setupSeconds: 20, stress: { wrist: 1 } }),
  variant('reverse_curl_cable', 'Reverse curl, cable', 'reverse_curl', { ...CABLE, setupSeconds: 30 }),
  variant('lying_extension_decline', 'Decline lying extension', 'lying_extension_cambered', { equipment: ['cambered_bar', 'decline_bench'], aliases: ['extension on a decline'], how: 'head end down, elbows stay above the shoulders', length: 'lengthened', setupSeconds: 60 }),
  variant('cross_body_extension_single', 'One-arm across-body extension, cable', 'pushdown_single', { how: 'pulley at shoulder height, forearm moves across the body', length: 'mid' }),
  variant('kickback_dumbbells', 'Hinged kickback, two dumbbells', 'kickback_dumbbell', { laterality: 'bilateral', restSeconds: 60, how: 'hinged at the hips, both arms at once', stress: { low_back: 2 } }),
  variant('overhead_extension_band', 'Overhead extension, band', 'overhead_extension_rope', { ...BAND, length: 'mid' }),
  variant('cable_row_single', 'One-arm cable row', 'seated_cable_row', { ...ONE_ARM, restSeconds: 60 }),
  variant('band_row', 'Band row', 'seated_cable_row', { ...BAND, length: 'shortened' }),
  variant('dumbbell_row_supported', 'Row on an incline bench, dumbbells', 'chest_supported_row', { equipment: ['dumbbell', 'incline_bench'], loadBasis: 'per_hand', loadStepKg: 2 }),
  variant('pulldown_single', 'One-arm pulldown', 'pulldown_neutral', { ...ONE_ARM, restSeconds: 60 }),
  variant('band_pulldown', 'Band pulldown', 'pulldown_neutral', { ...BAND, length: 'shortened' }),
  variant('rear_and_side_raise', 'Rear-and-side raise, dumbbells', 'rear_fly_dumbbell', { equipment: ['dumbbell'], how: 'half hinged, arms out to the side and a little back', credits: { delts_rear: 1, delts_side: 0.75, upper_back: 0.25 }, stress: { low_back: 1 } }),
  variant('lateral_raise_band', 'Lateral raise, band', 'lateral_raise_cable', { ...BAND, length: 'shortened' }),
  variant('face_pull_band', 'Face pull, band', 'face_pull', { ...BAND }),
  variant('wrist_curl_cable', 'Wrist curl, cable', 'wrist_curl', { ...CABLE, laterality: 'bilateral', setupSeconds: 30 }),
  variant('squat_dumbbell_front', 'Squat, dumbbell held in front', 'machine_squat', { equipment: ['dumbbell'], loadBasis: 'total', loadStepKg: 2, setupSeconds: 20, stress: { low_back: 1, wrist: 1 } }),
  variant('romanian_deadlift_dumbbell', 'Stiff-hip deadlift, dumbbells', 'romanian_deadlift', { ...DUMBBELLS, setupSeconds: 30, substitutes: ['romanian_deadlift', 'leg_curl_seated'] }),
  variant('calf_raise_single', 'Standing calf raise, one leg', 'calf_raise_standing', { equipment: ['dumbbell'], loadBasis: 'total', loadStepKg: 2, laterality: 'unilateral', restSeconds: 45, setupSeconds: 15 }),
  variant('kettlebell_curl', 'Kettlebell curl, held by the ball', 'dumbbell_curl', { equipment: ['kettlebell'], loadBasis: 'total', loadStepKg: 4, laterality: 'bilateral', how: 'both hands round the ball, handle down', setupSeconds: 20 }),
  variant('plate_hammer_curl', 'Hammer curl, plates in the hands', 'hammer_curl', { ...HAMMER, equipment: ['plate'], loadBasis: 'per_hand', loadStepKg: 2.5, how: 'plates held by the rim, thumbs up', stress: { wrist: 2 } }),
  variant('fixed_bar_curl', 'Fixed-bar curl', 'barbell_curl', { equipment: ['fixed_bar'], loadStepKg: 5, setupSeconds: 20 }),
  variant('assisted_dip', 'Assisted dip', 'machine_dip', { equipment: ['assisted_station'], loadBasis: 'counterweight', loadStepKg: 5, aliases: ['counterweight dip'] }),
  variant('ball_crunch', 'Crunch over a ball', 'cable_crunch', { equipment: ['ball'], loadBasis: 'added', loadStepKg: 2.5, length: 'lengthened', setupSeconds: 15 }),
] as const satisfies readonly Exercise[]
