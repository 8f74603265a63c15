import type { SlotId } from '../../base'
import { doneAs, forAnotherExercise, isAlike } from '../scheme'
import type { Slot } from '../session'
import type { Alternation, BlockPlan } from './blockPlan'

/** What a place of the rotation can change between: its own exercise and up to three others. */
export const CHOICE_LETTERS = ['A', 'B', 'C', 'D'] as const
export type ChoiceLetter = (typeof CHOICE_LETTERS)[number]

/** The exercises that take turns with the one of a place, in their order; all by the same rule. */
export interface Turns {
  readonly slot: SlotId
  readonly others: readonly Alternation[]
  readonly by: Alternation['by']
}

/** Places whose exercises take turns, in the order they were arranged. */
export function turnsIn({ alternations = [] }: Pick<BlockPlan, 'alternations'>): readonly Turns[] {
  const slots = [...new Set(alternations.map(({ slot }) => slot))]
  return slots.map(slot => {
    const others = alternations
      .filter(other => other.slot === slot)
      .slice(0, CHOICE_LETTERS.length - 1)
    return { slot, others, by: others.at(-1)!.by }
  })
}

/** Turns with one exercise more; undefined where a place has all it can have, or has this one. */
export function withTurn(
  alternations: readonly Alternation[],
  added: Alternation,
): readonly Alternation[] | undefined {
  const own = alternations.filter(({ slot }) => slot === added.slot)
  const isThere = own.some(
    ({ exercise, intent, as = {} }) =>
      exercise === added.exercise && intent === added.intent && isAlike(as, added.as ?? {}),
  )
  if (isThere || own.length >= CHOICE_LETTERS.length - 1) return undefined
  return [
    ...alternations.map(other => (other.slot === added.slot ? { ...other, by: added.by } : other)),
    added,
  ]
}

/** A place with what takes its turn there: no weight and no set-up of another exercise comes along, and no credits given to it. */
export function slotTaken(slot: Slot, { exercise, intent, as }: Alternation): Slot {
  const isSame = exercise === slot.exercise
  const { credits: _, ...bare } = slot
  const scheme = isSame ? slot.scheme : forAnotherExercise(slot.scheme)
  return {
    ...(isSame && intent === slot.intent ? slot : bare),
    exercise,
    intent,
    ...(as && { as }),
    scheme: as ? doneAs(scheme, as) : scheme,
  }
}

/**
 * Which of so many exercises it is, from 0.
 *
 * Shape: by exposure and by week one after the other, over and over; by half the working rotations are shared out in order.
 */
export function turnAt(
  by: Alternation['by'],
  count: number,
  pass: { readonly working: number; readonly workingPasses: number; readonly week: number },
): number {
  switch (by) {
    case 'exposure':
      return modulo(pass.working, count)
    case 'week':
      return modulo(pass.week, count)
    case 'half':
      return Math.min(
        count - 1,
        Math.floor((Math.max(0, pass.working) * count) / Math.max(1, pass.workingPasses)),
      )
  }
}
const modulo = (value: number, count: number) => ((value % count) + count) % count
