import type { Habit, Stretch, TriedMuscle, TriedTrial } from '../follow/review'
import type { Trial } from '../plan/block'
import { roundHalfUp } from '../base'
import { formatDay } from './dates'
import { formatOneDecimal } from './figures'
import { GROUP_NAMES } from './names'
import { signed, slopeRange } from './trends'

/** `Arm day on Saturdays: biceps, triceps, 4 weeks to Sat 26 Dec`. */
export function trialWords({ what, groups, weeks }: Trial, until: TriedTrial['until']): string {
  const names = groups.map(group => GROUP_NAMES[group].toLowerCase()).join(', ')
  return `${what}: ${names}, ${weeks} weeks to ${formatDay(until)}`
}

/** How a trial stands: on its way, over, or still ahead. */
export function trialStateWords({ isOver, weeksDone, trial }: TriedTrial): string {
  if (isOver)
    return 'Over: here is what came of it. Keep it in the plan or take it out, then put the trial away on the Block page.'
  return `${weeksDone} of ${trial.weeks} weeks behind. No verdict on strength before it is over; recovery and joints are watched as always.`
}

const stretchWords = ({ slope, error, setsPerWeek, pains }: Stretch): string =>
  [
    error === null ? 'too little to tell' : `${signed(slope)} a week (${slopeRange(slope, error)})`,
    `${formatOneDecimal(setsPerWeek)} direct sets a week`,
    ...(pains > 0 ? [`${pains} ${pains === 1 ? 'report' : 'reports'} of pain`] : []),
  ].join(', ')

const TRIED_VERDICTS: Readonly<Record<TriedMuscle['verdict'], string>> = {
  faster: 'It rose faster in the trial.',
  slower: 'It rose more slowly in the trial.',
  unclear: 'No difference that chance would not make.',
  too_early: 'Too few sessions to compare.',
}

/** What came of a trial for a muscle, beside the weeks before. */
export const triedWords = ({ group, before, during, verdict }: TriedMuscle): string =>
  `${GROUP_NAMES[group]}: ${stretchWords(during)}; before it ${stretchWords(before)}. ${TRIED_VERDICTS[verdict]}`

const DAY_PLURALS = [
  'Mondays',
  'Tuesdays',
  'Wednesdays',
  'Thursdays',
  'Fridays',
  'Saturdays',
  'Sundays',
]

/** What a client tends to leave out, and the remedy. */
export function habitWords(habit: Habit): string {
  const { times, of, othersShare, session } = habit
  const rest = `, everything else in ${roundHalfUp(othersShare * 100)} of 100`
  switch (habit.kind) {
    case 'weekday':
      return `${DAY_PLURALS[habit.weekday - 1]}: ${times} of ${of} sessions were left out, other days ${roundHalfUp(othersShare * 100)} of 100. Put ${session} on another day, or make it shorter.`
    case 'last':
      return `The last exercise of a session was left out ${times} of ${of} times${rest}. Put it first in ${session}, or make the session shorter.`
    case 'group':
      return `${GROUP_NAMES[habit.group]}: left out ${times} of ${of} times${rest}. Put it earlier in ${session}, or on another day.`
  }
}
