import { hasSides, type Joint, JOINT_TABLE, JOINTS } from '../../plan/catalogue'
import { PAIN_LEVELS, type PainLevel } from '../../plan/method'
import { isSore } from '../../body/joints'
import type { BodySide } from '../../body/log'
import type { LogEntry } from './entry'
import type { SheetMovement } from './sheet'

/** Where a client says that it hurts: a joint, or a region where she cannot tell which side of it. */
export type PainPlace = (typeof JOINT_TABLE)[Joint]['place'] | keyof typeof UNSURE

/** A region with more than one joint can be said as a whole; it means all of them. */
const UNSURE = { elbow: 'Elbow, not sure where' } as const

interface Place {
  readonly id: PainPlace
  readonly words: string
  readonly joints: readonly Joint[]
  readonly hasSides: boolean
}

const placeOf = (joint: Joint): Place => {
  const { place, asked } = JOINT_TABLE[joint]
  return { id: place, words: asked, joints: [joint], hasSides: hasSides(joint) }
}

/** Where it can hurt, as a client says it, in the order of the joints; a region follows its last joint. */
export const PAIN_PLACES: readonly Place[] = JOINTS.flatMap((joint, at) => {
  const { region } = JOINT_TABLE[joint]
  const next = JOINTS[at + 1]
  const isLast = next === undefined || JOINT_TABLE[next].region !== region
  if (!isLast || !(region in UNSURE)) return [placeOf(joint)]
  const joints = JOINTS.filter(other => JOINT_TABLE[other].region === region)
  const id = region as keyof typeof UNSURE
  return [placeOf(joint), { id, words: UNSURE[id], joints, hasSides: joints.some(hasSides) }]
})

/** What was said of a place: 0 to 10, and on which side. */
export interface SaidPain {
  readonly score: number
  readonly side: BodySide | 'both'
}

/** What a session's entries say hurts, place by place; the latest word about a joint stands. */
export function painsSaid(
  entries: readonly LogEntry[],
): Readonly<Partial<Record<PainPlace, SaidPain>>> {
  const said: Partial<Record<PainPlace, SaidPain>> = {}
  for (const { word } of entries)
    if (word.kind === 'pain')
      for (const joint of word.joints)
        said[placeOf(joint).id] = { score: word.score, side: word.side }
  return said
}

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

const SWAP_FROM_STRESS = 2
const LEAST_RIR = { hold: 2, swap: 3, stop: 0 } as const

/** The worse of two levels. */
export function worseLevel(a: PainLevel, b: PainLevel): PainLevel {
  return PAIN_LEVELS.indexOf(a) >= PAIN_LEVELS.indexOf(b) ? a : b
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
    return value > 0 && isSore(level) ? [{ joint, value, level }] : []
  })
  const [worst] = touched.sort(
    (a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level) || b.value - a.value,
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
