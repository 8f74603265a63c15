import type { Exercise, Intent } from '../../plan/catalogue'
import { classedStages, type RangeOfMotion, type SetRun } from '../../plan/scheme'

/** Which end of the working muscle's length a part of the range holds. */
export type RangeLength = 'full' | 'lengthened' | 'shortened' | 'middle'

/** Exercises whose handle goes down in the working phase: there the lower half is the short one. */
const WORKS_DOWNWARD =
  /^(pushdown_|cross_cable_extension|band_pushdown|pulldown_|straight_arm_pulldown|machine_dip|cable_crunch)/
const SLACK = 1e-9

/** Where a stage works, for the exercise it is done with; a landmark is taken as full. */
export function rangeLength(range: RangeOfMotion | undefined, exercise: Exercise): RangeLength {
  if (range?.kind !== 'part') return 'full'
  const isDownward = WORKS_DOWNWARD.test(exercise.id)
  const holdsBottom = range.from <= SLACK
  const holdsTop = range.to >= 1 - SLACK
  if (holdsBottom && holdsTop) return 'full'
  if (!holdsBottom && !holdsTop) return 'middle'
  return holdsBottom === isDownward ? 'shortened' : 'lengthened'
}

/** Where a set is hardest: the part of the range that its lead stages share if there is one, else the intent's bias. */
export function lengthBiasOf(
  run: SetRun,
  exercise: Exercise,
  intent: Intent,
): Intent['lengthBias'] {
  const lengths = new Set(
    classedStages(run).flatMap(({ stage, class: own }) =>
      stage.kind === 'work' && (own === 'lead' || own === 'join')
        ? [rangeLength(stage.range, exercise)]
        : [],
    ),
  )
  const [length] = lengths
  return lengths.size === 1 && (length === 'lengthened' || length === 'shortened')
    ? length
    : intent.lengthBias
}
