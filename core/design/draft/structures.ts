import type { DayRole } from '../../plan/rotation'

/** A way to share out the body over the training days of a rotation. */
export interface Structure {
  readonly id: string
  readonly name: string
  readonly why: string
  /** Training days that it takes at least and at most. */
  readonly days: readonly [least: number, most: number]
  /** Roles by the number of training days; where a number is not named they come round in order. */
  readonly roles: Readonly<Record<number, readonly DayRole[]>> & {
    readonly round: readonly DayRole[]
  }
}

/** What a rotation from nothing can be built on: the only place that lists it. */
export const STRUCTURES = [
  {
    id: 'whole_body',
    name: 'Whole body every time',
    why: 'Every muscle on every training day; a missed day costs least.',
    days: [1, 4],
    roles: { round: ['full'] },
  },
  {
    id: 'upper_lower',
    name: 'Upper and lower',
    why: 'Arms after presses and rows, twice in a week from four days on.',
    days: [2, 8],
    roles: {
      3: ['upper', 'lower', 'full'],
      5: ['upper', 'lower', 'upper', 'lower', 'full'],
      round: ['upper', 'lower'],
    },
  },
  {
    id: 'upper_lower_arms',
    name: 'Upper, lower, arms',
    why: 'A day of their own for the arms, with the compounds behind them.',
    days: [3, 9],
    roles: {
      4: ['upper', 'lower', 'arms', 'full'],
      5: ['upper', 'lower', 'arms', 'upper', 'lower'],
      round: ['upper', 'lower', 'arms'],
    },
  },
  {
    id: 'push_pull_legs',
    name: 'Push, pull, legs',
    why: 'Triceps with the presses, biceps with the rows: each rests while the other works.',
    days: [3, 12],
    roles: {
      4: ['push', 'pull', 'legs', 'upper'],
      5: ['push', 'pull', 'legs', 'upper', 'lower'],
      round: ['push', 'pull', 'legs'],
    },
  },
  {
    id: 'push_pull_legs_arms',
    name: 'Push, pull, legs, arms',
    why: 'Arms with the compounds and once more by themselves, fresh.',
    days: [4, 13],
    roles: {
      5: ['push', 'pull', 'legs', 'upper', 'arms'],
      6: ['push', 'pull', 'legs', 'arms', 'upper', 'lower'],
      7: ['push', 'pull', 'legs', 'arms', 'push', 'pull', 'legs'],
      round: ['push', 'pull', 'legs', 'arms'],
    },
  },
] as const satisfies readonly Structure[]

export type StructureId = (typeof STRUCTURES)[number]['id']

/** Structures that fit so many training days; the whole body and all that it holds where there are more than any is made for. */
export function structuresFor(trainingDays: number): readonly Structure[] {
  const fitting = STRUCTURES.filter(
    ({ days: [least, most] }) => trainingDays >= least && trainingDays <= most,
  )
  return fitting.length > 0 ? fitting : [STRUCTURES[4]]
}

/** What each training day of a structure is for, in order. */
export function rolesOf({ roles }: Structure, trainingDays: number): readonly DayRole[] {
  const named = roles[trainingDays]
  if (named) return named
  return Array.from({ length: trainingDays }, (_, at) => roles.round[at % roles.round.length]!)
}
