import { DAYS_PER_WEEK, daysBetween, type PlainDate } from '../base'
import type { FirstChoice, PhaseRun } from '../follow/season'
import type { Phase, PhaseKind } from '../plan/method'
import { formatDay } from './dates'

/** Phases as a coach names them. */
export const PHASE_NAMES: Readonly<Record<PhaseKind, string>> = {
  build: 'Build',
  hold: 'Hold',
  lean: 'Lean out',
  event: 'Before an event',
}

/** A phase with what it leads to. */
export const phaseName = ({ kind, what }: Pick<Phase, 'kind' | 'what'>): string => {
  if (!what) return PHASE_NAMES[kind]
  return kind === 'event' ? `Before ${what}` : `${PHASE_NAMES[kind]}: ${what}`
}

/** What of the plan follows a phase, as short clauses; empty where it is a name alone. */
export function phaseFollows({ kind, armsEvery, volume }: Phase): readonly string[] {
  return [
    ...(armsEvery === undefined ? [] : [`arms at least every ${armsEvery} days`]),
    ...(volume === undefined || volume === 1
      ? []
      : [`${Math.round(volume * 100)} % of the usual arm sets`]),
    ...(kind === 'lean' ? ['recovery slower, strength that holds is a success'] : []),
  ]
}

/** How long a phase still goes on: its weeks to go, when it begins, or that it is over. */
export function phaseToGo(
  { from, until, weeksToGo }: Pick<PhaseRun, 'from' | 'until' | 'weeksToGo'>,
  today: PlainDate,
): string {
  if (weeksToGo === null) {
    if (today > until) return 'over'
    const weeks = Math.ceil(daysBetween(today, from) / DAYS_PER_WEEK)
    return weeks === 1 ? 'begins within a week' : `begins in ${weeks} weeks`
  }
  if (weeksToGo === 0) return 'ends today'
  return `${weeksToGo} ${weeksToGo === 1 ? 'week' : 'weeks'} to go, until ${formatDay(until)}`
}

/** What comes first in a block ahead, as it is chosen from. */
export const FIRST_WORDS: Readonly<Record<FirstChoice, string>> = {
  as_now: 'as now',
  flexors: 'biceps and brachialis',
  triceps: 'triceps',
  both: 'both sides of the arm',
  hold: 'nothing: all hold',
}
