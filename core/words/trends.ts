import type { PlainDate } from '../base'
import type { SetUpChange } from '../body/log'
import { type DatedTrend, TREND } from '../body/trend'
import { formatDay } from './dates'
import { formatOneDecimal, NBSP } from './figures'

const percent = (share: number) => `${formatOneDecimal(share * 100)}${NBSP}%`
/** 80 % of a normal distribution lies within this many standard errors. */
export const INTERVAL = 1.28

/** A trend as pages get it; an endless error is null. */
export type SaidTrend = Pick<
  DatedTrend,
  'verdict' | 'slope' | 'count' | 'spanWeeks' | 'since' | 'leaning' | 'isHighReps'
> & {
  readonly error: number | null
  /** In a phase of eating less. */
  readonly eatsLess?: boolean
}

export const signed = (share: number): string => `${share > 0 ? '+' : ''}${percent(share)}`

/** `−0.2 % to +1.4 %`, the range that holds four times in five. */
export const slopeRange = (slope: number, error: number): string =>
  `${signed(slope - INTERVAL * error)} to ${signed(slope + INTERVAL * error)}`

/** The range of a trend as a sentence; empty where nothing is known. */
const rangeWords = ({ slope, error }: SaidTrend): string =>
  error === null ? '' : ` ${slopeRange(slope, error)} a week, four times in five.`

const LEANING = { up: 'Leaning up.', down: 'Leaning down.' } as const
const sinceWords = (since: PlainDate | null) => (since ? `, since ${formatDay(since)}` : '')

/** What the data support saying about an exercise, and how surely. */
export function trendSentence(trend: SaidTrend): string {
  const { verdict, slope, count, spanWeeks, since, leaning, isHighReps } = trend
  switch (verdict) {
    case 'insufficient':
      return isHighReps
        ? 'Sets of more than 20 reps say too little of strength: not judged.'
        : `Too early: ${count} of about ${TREND.usualSessions} sessions that a rise of 1${NBSP}% a week takes to show.`
    case 'progress':
      return `Rising${sinceWords(since)}: ${percent(slope)} a week.${rangeWords(trend)}`
    case 'decline':
      return `Falling${sinceWords(since)}: ${percent(-slope)} a week.${rangeWords(trend)}`
    case 'plateau':
      return trend.eatsLess
        ? `Holding over ${Math.round(spanWeeks)} weeks${sinceWords(since)}: while eating less that is success.${rangeWords(trend)}`
        : `Flat over ${Math.round(spanWeeks)} weeks${sinceWords(since)}.${rangeWords(trend)}`
    case 'unclear': {
      const early =
        count < TREND.usualSessions
          ? `${count} of about ${TREND.usualSessions} sessions.`
          : `${count} sessions.`
      return `Not clear yet, ${early}${leaning ? ` ${LEANING[leaning]}` : ''}${rangeWords(trend)}`
    }
  }
}

export const PAIN_LEVEL_WORDS = {
  none: 'calm',
  note: 'noted',
  hold: 'held: no more load, sets or stages',
  swap: 'exercises to be replaced',
  stop: 'stopped: refer to a licensed professional',
} as const

/** From when a trend lies on a line of its own; empty where the set-up stayed as it was. */
export function setUpSentence(changes: readonly SetUpChange[]): string {
  const last = changes.at(-1)
  return last ? ` A line of its own since ${formatDay(last.on)}: ${last.words}.` : ''
}
