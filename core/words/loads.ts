import type { LoadReason, NextChange, NextTime, SlotLoads, StartingLoad } from '../design/loads'
import type { ReserveCourse } from '../plan/estimate'
import type { Catalogue } from '../plan/catalogue'
import type { WeightUnit } from '../plan/scheme'
import { formatSets, NBSP } from './figures'

const percentOff = (share: number) => `${Math.round((1 - share) * 100)}${NBSP}% lighter`

function lastTimeWords({ done }: Extract<LoadReason, { kind: 'up' | 'down' | 'same' }>): string {
  const reps = done.map(set => formatSets(set.reps)).join(', ')
  const left = Math.min(...done.map(({ rir }) => rir))
  return `${reps} at ${formatSets(left)} left last time`
}

function stepWords(before: number, after: number, unit: WeightUnit): string {
  const change = after - before
  return `${change < 0 ? '−' : '+'}${formatSets(Math.abs(change))}${NBSP}${unit}`
}

/** Why a load is what it is, for client and coach alike: `+2.5 kg: 12, 12, 12 at 2 left last time`. */
export function loadReasonWords({ reason, unit, sets, reference }: SlotLoads): string {
  const after = sets[reference]?.amount ?? 0
  switch (reason.kind) {
    case 'as_planned':
      return 'As planned'
    case 'new_plan':
      return 'Your coach has named another weight'
    case 'sore':
      return 'No more than last time while the joint is sore'
    case 'easier':
      return 'Lighter on purpose: easier days'
    case 'of_one_rep':
      return 'A share of what one rep would be'
    case 'up':
    case 'down':
      return `${stepWords(reason.before, after, unit)}: ${lastTimeWords(reason)}`
    case 'same':
      return `Same weight: ${lastTimeWords(reason)}`
    case 'by_set':
      return reason.raised === 1
        ? 'One set made its reps and goes up; the others stay'
        : `${reason.raised} sets made their reps and go up; the others stay`
    case 'away':
      return `${percentOff(reason.share)}: ${reason.days} days away beyond the plan`
    case 'left_out':
      return `${percentOff(reason.share)}: not done for ${reason.days} days beyond the plan`
    case 'new_start':
      return `A new start ${reason.days} days beyond the plan: find a weight you could do four reps more with`
    case 'step':
      return reason.step === 'up'
        ? 'A step heavier: your coach saw reps to spare'
        : 'Lighter: your coach wants every rep done'
    case 'other_reps':
      return `From ${formatSets(reason.before)}${NBSP}${unit} × ${formatSets(reason.reps)}: other reps are asked for now`
    case 'most':
      return `Your coach has set ${formatSets(reason.most)}${NBSP}${unit} as the heaviest`
  }
}

/** What a ladder lost on weights that can be loaded; empty where it lost nothing. */
export function shapeLossWords({ loss }: SlotLoads): string {
  switch (loss) {
    case null:
      return ''
    case 'no_heavier':
      return 'There is no heavier weight here: the last sets stay alike'
    case 'flattened':
      return 'Weights here are too far apart for every step: some sets stay alike'
  }
}

/** The loads of all sets in a row: `30, 34, 38, 42 kg`; one number where they are alike. */
export function loadRowWords({ sets, unit }: SlotLoads): string {
  const amounts = sets.flatMap(({ amount }) => (amount === null ? [] : [amount]))
  if (amounts.length === 0) return ''
  const isOne = amounts.every(amount => amount === amounts[0])
  return `${(isOne ? amounts.slice(0, 1) : amounts).map(formatSets).join(', ')}${NBSP}${unit}`
}

/** Loads and their reason in one line: `30, 34, 38, 42 kg. +2.5 kg: 14, 11, 9, 7 at 1 left last time`. */
export function loadLineWords(loads: SlotLoads): string {
  return [loadRowWords(loads), loadReasonWords(loads), shapeLossWords(loads)]
    .filter(Boolean)
    .join('. ')
}

const NEXT_CHANGES: Readonly<Record<NextChange, string>> = {
  heavier: 'heavier',
  lighter: 'lighter',
  more_reps: 'the same weight, more reps',
  same: 'the same again',
  easier: 'easier on purpose',
  turn: '',
}

/** What comes next time, for the client: `Cable curl: 22.5 kg, heavier`, `Cable curl: Hammer curl has its turn, 16 kg`. */
export function nextTimeWords(
  { done, comes, change, loads }: NextTime,
  nameOf: (exercise: string) => string,
): string {
  const load = loads ? loadRowWords(loads) : ''
  const says =
    change === 'turn'
      ? [`${nameOf(comes)} has its turn`, load]
      : [change === 'more_reps' ? '' : load, NEXT_CHANGES[change]]
  return `${nameOf(done)}: ${says.filter(Boolean).join(', ')}`
}

/** The reserve to expect set by set at one load: `At one load about 2, 1.5, 1 left`. */
export const reserveCourseWords = ({ left }: ReserveCourse): string =>
  `At one load about ${left.map(formatSets).join(', ')} left`

/** What a load to begin with goes by, and how far off it may be: `30 kg, within 20 %, from Barbell curl`. */
export function startWords(
  { amount, unit, margin, from }: StartingLoad,
  catalogue: Catalogue,
): string {
  const source =
    from === null ? 'from body weight alone' : `from ${catalogue.get(from)?.name ?? from}`
  return `${formatSets(amount)}${NBSP}${unit}, within ${margin}${NBSP}%, ${source}`
}
