import type { Joint } from '../../plan/catalogue'
import type { PainLevel } from '../../plan/method'
import type { BodySide } from '../../body/log'
import type { SheetMovement } from './sheet'

/** Where it can hurt, as a client says it; an elbow that cannot say which side means both. */
export const PAIN_PLACES = [
  { id: 'elbow_front', words: 'Elbow, front or inner side', joints: ['elbow_flexor_side'] },
  { id: 'elbow_back', words: 'Elbow, back', joints: ['elbow_extensor_side'] },
  {
    id: 'elbow',
    words: 'Elbow, not sure where',
    joints: ['elbow_flexor_side', 'elbow_extensor_side'],
  },
  { id: 'wrist', words: 'Wrist', joints: ['wrist'] },
  { id: 'shoulder', words: 'Shoulder', joints: ['shoulder'] },
  { id: 'low_back', words: 'Low back', joints: ['low_back'] },
] as const satisfies readonly {
  readonly id: string
  readonly words: string
  readonly joints: readonly Joint[]
}[]
export type PainPlace = (typeof PAIN_PLACES)[number]['id']

/** Each of these stops work on the joint whatever the number. */
export const ALARM_SIGNS = [
  'A sudden pop or tearing feeling',
  'Visible swelling, bruising or a changed shape',
  'Numbness, tingling or weakness in arm or hand',
  'Pain at rest or at night',
  'The joint locks or gives way',
  'I cannot straighten or bend it fully',
] as const
export const EMERGENCY_WORDS =
  'Chest pain, breathlessness out of proportion, fainting or a sudden severe headache: end the session and call your local emergency number.'

/** What a level says to the client; nothing where there is nothing to say. Never a diagnosis. */
export const PAIN_WORDS: Readonly<Record<PainLevel, string>> = {
  none: '',
  note: 'Noted. Tell us if it grows.',
  hold: 'Keep it easy: same weight or lighter, stop two reps early. If it climbs during a set, end the exercise.',
  swap: 'Exercises that load this joint are to be swapped. If it is no better in a week, have it looked at by a licensed health professional.',
  stop: 'Stop training this joint. Please have it examined by a physician or other licensed professional before you load it again.',
}

/** Levels of each joint, side by side; what has no side (the low back) has the same on both. */
export type Levels = Readonly<Partial<Record<Joint, Readonly<Record<BodySide, PainLevel>>>>>

/** What pain makes of a movement today, on one side or on both. */
export interface PainLimit {
  readonly level: 'hold' | 'swap' | 'stop'
  readonly joint: Joint
  /** Nothing of it is to be done. */
  readonly isStopped: boolean
  /** It should be swapped before it is done. */
  readonly wantsSwap: boolean
  /** Reps that stay in reserve, at least. */
  readonly leastRir: number
}

const ORDER: readonly PainLevel[] = ['none', 'note', 'hold', 'swap', 'stop']
const SWAP_FROM_STRESS = 2
const LEAST_RIR = { hold: 2, swap: 3, stop: 0 } as const

/** The worse of two levels. */
export function worseLevel(a: PainLevel, b: PainLevel): PainLevel {
  return ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b
}

function levelOn(sides: Readonly<Record<BodySide, PainLevel>>, side: BodySide | null): PainLevel {
  return side ? sides[side] : worseLevel(sides.left, sides.right)
}

/**
 * What the joints' levels make of a movement: the worst one that it touches.
 *
 * Shape:  `side` is the arm that works; null where both do, and then the worse side counts.
 * Edge:   undefined where no joint it touches is at `hold` or worse.
 * Source: docs/methods.md#pain.
 */
export function painLimit(
  { stress }: Pick<SheetMovement, 'stress'>,
  levels: Levels,
  side: BodySide | null = null,
): PainLimit | undefined {
  const touched = (Object.entries(stress) as [Joint, number][]).flatMap(([joint, value]) => {
    const sides = levels[joint]
    const level = sides && levelOn(sides, side)
    return value > 0 && (level === 'hold' || level === 'swap' || level === 'stop')
      ? [{ joint, value, level }]
      : []
  })
  const [worst] = touched.sort(
    (a, b) => ORDER.indexOf(b.level) - ORDER.indexOf(a.level) || b.value - a.value,
  )
  if (!worst) return undefined
  const { joint, level, value } = worst
  return {
    level,
    joint,
    isStopped: level === 'stop',
    wantsSwap: level === 'swap' && value >= SWAP_FROM_STRESS,
    leastRir: LEAST_RIR[level],
  }
}
