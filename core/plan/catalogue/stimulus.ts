import type { Equipment, Exercise, Pattern } from './exercise'
import { poseOf, type Posture } from './poses'

/** What an exercise pulls against. */
export type Resistance = 'cable' | 'guided' | 'band' | 'own_weight' | 'free'
/** Whether the trunk is held, or stands and can help. */
export type Footing = 'supported' | 'standing'

/** What a movement asks of a body besides its muscles; told where one exercise is chosen over another, reckoned with nowhere. */
export interface Stimulus {
  readonly resistance: Resistance
  /** null where it makes no difference: hanging, lying, legs. */
  readonly footing: Footing | null
  readonly isOneSided: boolean
}

/** The first that an exercise needs says what it pulls against. Rules of thumb. Source: docs/methods.md#stimulus. */
const RESISTANCES: readonly (readonly [Resistance, readonly Equipment[]])[] = [
  ['cable', ['cable']],
  ['guided', ['machine', 'assisted_station', 'rail_guided_barbell']],
  ['band', ['band']],
  [
    'free',
    ['barbell', 'cambered_bar', 'dumbbell', 'kettlebell', 'plate', 'fixed_bar', 'wrist_roller'],
  ],
  ['own_weight', ['bodyweight', 'dip_bars', 'pull_up_bar']],
]
/** Movements in which a standing trunk can swing along. */
const SWINGS: readonly Pattern[] = [
  'curl',
  'elbow_extension',
  'raise',
  'rear_raise',
  'vertical_press',
]
const FREE: readonly Posture[] = ['standing', 'bent_over', 'kneeling']

export function stimulusOf({
  id,
  equipment,
  pattern,
  laterality,
}: Pick<Exercise, 'id' | 'equipment' | 'pattern' | 'laterality'>): Stimulus {
  const needs = (pieces: readonly Equipment[]) => pieces.some(piece => equipment.includes(piece))
  const posture = poseOf({ id, pattern })?.posture ?? 'standing'
  return {
    resistance: RESISTANCES.find(([, pieces]) => needs(pieces))?.[0] ?? 'own_weight',
    footing: SWINGS.includes(pattern) ? (FREE.includes(posture) ? 'standing' : 'supported') : null,
    isOneSided: laterality === 'unilateral',
  }
}
