import { addDays, DAYS_PER_WEEK, type PlainDate } from '../../base'
import type { Group } from '../catalogue'
import { type BlockPlan, type Trial, withPart } from './blockPlan'

/** A month; shorter ones show nothing but tiredness. Units: weeks. */
export const TRIAL_WEEKS = { least: 3, usual: 4, most: 12 } as const
/** More at once than anybody could tell apart. */
export const MOST_TRIALS = 12

/** The last day of a trial. */
export const trialEnd = ({ from, weeks }: Pick<Trial, 'from' | 'weeks'>): PlainDate =>
  addDays(from, weeks * DAYS_PER_WEEK - 1)

export const withTrial = (block: BlockPlan, trial: Trial): BlockPlan =>
  withPart(block, 'trials', [...(block.trials ?? []), trial])

export const withoutTrial = (block: BlockPlan, trial: Trial): BlockPlan =>
  withPart(
    block,
    'trials',
    (block.trials ?? []).filter(other => other !== trial),
  )

/** The last day of the latest trial that a muscle is in on a day; null where it is in none. */
export function onTrialUntil(
  { trials = [] }: BlockPlan,
  group: Group,
  on: PlainDate,
): PlainDate | null {
  const ends = trials
    .filter(trial => trial.groups.includes(group) && trial.from <= on && on <= trialEnd(trial))
    .map(trialEnd)
    .sort()
  return ends.at(-1) ?? null
}
