import { PAIN_ASKS } from './pain'
import { capitalised } from './text'
import { daysBetween, isoWeekday, type PlainDate } from '../base'
import type { Need } from '../follow/roster'
import { attentionWords } from './attention'
import { formatDay, weekdayName } from './dates'
import { formatOneDecimal, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'

/** `today`, `yesterday`, `tomorrow`, a weekday within six days, else the date. */
export function dayWord(on: PlainDate, today: PlainDate): string {
  const days = daysBetween(today, on)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  return days > 1 && days < 7 ? weekdayName(isoWeekday(on)) : formatDay(on, 'wide')
}

function percentAWeek(slope: number): string {
  return `${formatOneDecimal(Math.abs(slope) * 100)}${NBSP}% a week`
}

function sideWords(side: 'left' | 'right' | 'both'): string {
  return side === 'both' ? 'both sides' : side
}

const NO_PLAN_WORDS = {
  nothing: { headline: 'No plan yet', detail: 'Start from a template that fits' },
  empty: { headline: 'The plan is empty', detail: 'Let proposals draft it, or take a template' },
  never_sent: { headline: 'Plan never sent', detail: 'The client has nothing to train by yet' },
} as const

/** A need in words: what it is, and what it comes from. */
export function needWords(
  need: Need,
  today: PlainDate,
): { readonly headline: string; readonly detail: string } {
  switch (need.kind) {
    case 'pain':
      return {
        headline: `Pain ${need.score} of 10: ${JOINT_NAMES[need.joint]}, ${sideWords(need.side)}`,
        detail: `Reported ${dayWord(need.on, today)}. ${capitalised(PAIN_ASKS[need.level])}`,
      }
    case 'missed_session':
      return {
        headline: `Missed ${need.name} ${dayWord(need.on, today)}`,
        detail:
          need.armSets > 0
            ? `${need.armSets} direct arm sets left without a day`
            : 'No arm sets lost',
      }
    case 'no_plan':
      return NO_PLAN_WORDS[need.what]
    case 'not_sent':
      return {
        headline: `${need.isNext ? 'The next block' : `Rotation ${need.pass + 1}`} starts ${dayWord(need.on, today)}, not sent`,
        detail: 'The client has nothing to train by yet',
      }
    case 'falling':
      return {
        headline: `${GROUP_NAMES[need.group]} falling`,
        detail: `${percentAWeek(need.trend.slope)} over ${need.trend.count} sessions${need.others > 0 ? `, and ${need.others} more` : ''}`,
      }
    case 'block_ends':
      return {
        headline:
          need.on < today
            ? `Block ended ${dayWord(need.on, today)}`
            : `Block ends ${dayWord(need.on, today)}`,
        detail: 'No next block yet',
      }
    case 'trial_over':
      return {
        headline: `Trial over: ${need.what}`,
        detail: `Since ${dayWord(need.on, today)}: see what came of it`,
      }
    case 'out_of_band': {
      const { subject, matter } = attentionWords(need.worst)
      return {
        headline: `${subject} ${matter}`,
        detail:
          need.others > 0
            ? `and ${need.others} more ${need.others === 1 ? 'group' : 'groups'} out of band`
            : 'every other group in band',
      }
    }
    case 'not_opened':
      return { headline: 'Sheet not opened', detail: `Sent ${dayWord(need.sentOn, today)}` }
  }
}

/** `Arms today at 17:30`. */
export function nextWords(
  next: { readonly on: PlainDate; readonly start: string | null; readonly name: string },
  today: PlainDate,
): string {
  return `${next.name} ${dayWord(next.on, today)}${next.start === null ? '' : ` at ${next.start}`}`
}

/** That a roster does not know yet what some logs say. Units: clients, at least 1. */
export function unreadWords(count: number): string {
  return count === 1
    ? 'One client’s log is still being read; the order may change.'
    : `The logs of ${count} clients are still being read; the order may change.`
}
