import type { Catalogue } from './catalogue'
import { directGroups, isPossibleWith } from './catalogue'
import type { Equipment, Exercise, Intent } from './exercise'
import type { Joint } from './joints'
import { JOINTS } from './joints'
import { type Group, GROUP_MUSCLES, type Muscle } from './muscles'

/** What a stand-in must keep to. */
export interface SubstituteLimits {
  readonly equipment?: readonly Equipment[]
  /** Most stress that a joint may get. */
  readonly mostStress?: Readonly<Partial<Record<Joint, number>>>
  /** Exercises that are taken, hurt, or are in the session already. */
  readonly without?: readonly string[]
  /** Comes first where it is possible: what a client does in place of the exercise. */
  readonly first?: string | null
  /** What the place asks of an exercise; others come after those that suit. */
  readonly suits?: (exercise: Exercise, intent: Intent) => boolean
}

export interface Substitute {
  readonly exercise: Exercise
  readonly intent: Intent
  /** 0 to 1; 1 would be the exercise itself. */
  readonly likeness: number
}

/** What makes two exercises alike, heaviest first; adds up to 1. The order a coach would agree with, weights are a rule of thumb. */
const WEIGHTS = {
  credits: 0.28,
  pattern: 0.22,
  heads: 0.18,
  length: 0.14,
  equipment: 0.1,
  joints: 0.08,
} as const
/** How much the catalogue's own list speaks for its members, the first most. */
const LISTED = 0.12

function overlap(a: readonly string[], b: readonly string[]): number {
  const all = new Set([...a, ...b])
  return all.size === 0 ? 1 : a.filter(item => b.includes(item)).length / all.size
}

function creditLikeness(a: Intent, b: Intent): number {
  const groups = [...new Set([...Object.keys(a.credits), ...Object.keys(b.credits)])] as Group[]
  const apart = groups.reduce(
    (sum, group) => sum + Math.abs((a.credits[group] ?? 0) - (b.credits[group] ?? 0)),
    0,
  )
  const whole = groups.reduce(
    (sum, group) => sum + Math.max(a.credits[group] ?? 0, b.credits[group] ?? 0),
    0,
  )
  return whole === 0 ? 0 : 1 - apart / whole
}

function headLikeness(a: Intent, b: Intent): number {
  const groups = directGroups(a.credits).filter(group => GROUP_MUSCLES[group].length > 1)
  if (groups.length === 0) return 1
  const apart = groups.map(
    group =>
      (GROUP_MUSCLES[group] as readonly Muscle[]).reduce(
        (sum, muscle) =>
          sum +
          Math.abs((a.headShares[group]?.[muscle] ?? 0) - (b.headShares[group]?.[muscle] ?? 0)),
        0,
      ) / 2,
  )
  // Shares move within a narrow range, so a tenth already is a difference.
  return Math.max(0, 1 - (4 * apart.reduce((sum, value) => sum + value, 0)) / apart.length)
}

const LENGTHS = ['lengthened', 'mid', 'shortened'] as const

function lengthLikeness(a: Intent, b: Intent): number {
  return 1 - Math.abs(LENGTHS.indexOf(a.lengthBias) - LENGTHS.indexOf(b.lengthBias)) / 2
}

/** Less stress than before is as good as the same. */
function jointLikeness(a: Intent, b: Intent): number {
  const more = JOINTS.reduce(
    (sum, joint) => sum + Math.max(0, b.jointStress[joint] - a.jointStress[joint]),
    0,
  )
  return Math.max(0, 1 - more / 4)
}

/**
 * How well one exercise, with a purpose, can stand in for another.
 *
 * Units: 0 to 1; same muscles and pattern first, then head and length, then equipment and joint stress.
 */
export function likeness(from: Exercise, purpose: Intent, to: Exercise, as: Intent): number {
  return (
    WEIGHTS.credits * creditLikeness(purpose, as) +
    WEIGHTS.pattern * Number(from.pattern === to.pattern) +
    WEIGHTS.heads * headLikeness(purpose, as) +
    WEIGHTS.length * lengthLikeness(purpose, as) +
    WEIGHTS.equipment * overlap(from.equipment, to.equipment) +
    WEIGHTS.joints * jointLikeness(purpose, as)
  )
}

function isAllowed(
  exercise: Exercise,
  intent: Intent,
  { equipment = [], mostStress = {}, without = [] }: SubstituteLimits,
): boolean {
  return (
    !without.includes(exercise.id) &&
    isPossibleWith(exercise, equipment) &&
    JOINTS.every(joint => intent.jointStress[joint] <= (mostStress[joint] ?? Infinity))
  )
}

/**
 * Exercises that can stand in for one that is not possible, best first.
 *
 * Shape: each exercise once, under the purpose that fits best; all share a direct group with what they replace, or suit
 *        the place where that does not.
 * Edge:  none allowed gives an empty list.
 */
export function rankedSubstitutes(
  from: Exercise,
  purpose: Intent,
  catalogue: Catalogue,
  limits: SubstituteLimits = {},
): readonly Substitute[] {
  const wanted = directGroups(purpose.credits)
  // Where the exercise itself is wrong for its place, the place says what is wanted.
  const asked = limits.suits?.(from, purpose) === false ? limits.suits : undefined
  const found: Substitute[] = []
  for (const exercise of catalogue.values()) {
    if (exercise.id === from.id) continue
    const fitting = exercise.intents.filter(
      intent =>
        isAllowed(exercise, intent, limits) &&
        (directGroups(intent.credits).some(group => wanted.includes(group)) ||
          asked?.(exercise, intent)),
    )
    const listed = from.substitutes.indexOf(exercise.id)
    const bonus = listed < 0 ? 0 : LISTED * (1 - listed / (from.substitutes.length + 1))
    const [best] = fitting
      .map(intent => ({
        exercise,
        intent,
        likeness: Math.min(1, likeness(from, purpose, exercise, intent) * (1 - LISTED) + bonus),
      }))
      .sort((a, b) => b.likeness - a.likeness)
    if (best) found.push(best)
  }
  const isFirst = ({ exercise }: Substitute) => Number(exercise.id === limits.first)
  const suits = ({ exercise, intent }: Substitute) => Number(limits.suits?.(exercise, intent) ?? 1)
  return found.sort(
    (a, b) => isFirst(b) - isFirst(a) || suits(b) - suits(a) || b.likeness - a.likeness,
  )
}
