import { ARM_GROUPS, type Group } from '../../plan/catalogue'
import type { Mode, PhaseKind } from '../../plan/method'

/** What comes first in a block ahead: a side of the arms, both, or neither. */
export const FIRST_CHOICES = ['as_now', 'flexors', 'triceps', 'both', 'hold'] as const
export type FirstChoice = (typeof FIRST_CHOICES)[number]

/** A block that is to be put behind the others. */
export interface BlockAhead {
  readonly title: string
  readonly weeks: number
  readonly first: FirstChoice
  /** What it is for; null where nothing is said. */
  readonly phase: PhaseKind | null
}

const BUILT: Readonly<Record<FirstChoice, readonly Group[]>> = {
  as_now: [],
  flexors: ['biceps', 'elbow_flexors_other'],
  triceps: ['triceps'],
  both: ['biceps', 'elbow_flexors_other', 'triceps'],
  hold: [],
}

/** Priorities of a block ahead: what comes first is built up, the rest of the arms kept; nothing is said where it goes on as now. */
export const modesOf = (first: FirstChoice): Readonly<Partial<Record<Group, Mode>>> =>
  first === 'as_now'
    ? {}
    : Object.fromEntries(
        ARM_GROUPS.map(group => [group, BUILT[first].includes(group) ? 'build' : 'keep'] as const),
      )

/** What comes first in a phase, where the coach says nothing else. Source: docs/methods.md#phases. */
export const FIRST_IN: Readonly<Record<PhaseKind, FirstChoice>> = {
  build: 'both',
  hold: 'hold',
  lean: 'hold',
  event: 'both',
}

const YEAR_WEEKS = 52
const ROUND: readonly BlockAhead[] = [
  { title: 'Biceps first', weeks: 8, first: 'flexors', phase: 'build' },
  { title: 'Triceps first', weeks: 8, first: 'triceps', phase: 'build' },
  { title: 'Hold', weeks: 4, first: 'hold', phase: 'hold' },
]
/** Shorter than this nothing is learned in a block. */
const LEAST_WEEKS = 4

/**
 * A year of blocks to start from: one side of the arms is brought up while the other is kept, then both hold.
 *
 * Shape:  as many as fill a year, the last one shortened to it; four weeks at least.
 * Source: docs/methods.md#season. A rule of thumb.
 */
export function yearAhead(): readonly BlockAhead[] {
  const blocks: BlockAhead[] = []
  let left = YEAR_WEEKS
  while (left >= LEAST_WEEKS) {
    const next = ROUND[blocks.length % ROUND.length]!
    const round = Math.floor(blocks.length / ROUND.length) + 1
    blocks.push({
      ...next,
      title: round === 1 ? next.title : `${next.title} ${round}`,
      weeks: Math.min(next.weeks, left),
    })
    left -= blocks.at(-1)!.weeks
  }
  return blocks
}
