import type { SetUpChange, Trend } from '../body/log'
import { formatDay } from './dates'
import { formatOneDecimal, NBSP } from './figures'

const percent = (share: number) => `${formatOneDecimal(share * 100)}${NBSP}%`
/** 80 % of a normal distribution lies within this many standard errors. */
const INTERVAL = 1.28

/** What the data support saying about an exercise, in one sentence. */
export function trendSentence({
  verdict,
  slope,
  error,
  count,
  spanWeeks,
}: Pick<Trend, 'verdict' | 'slope' | 'count' | 'spanWeeks'> & {
  readonly error: number | null
}): string {
  const spread = error === null ? 0 : INTERVAL * error
  switch (verdict) {
    case 'insufficient':
      return `Not enough data yet: ${Math.min(5, count)} of 5 sessions.`
    case 'progress':
      return `Rising ${percent(slope)} a week.`
    case 'decline':
      return `Falling ${percent(-slope)} a week.`
    case 'plateau':
      return `Flat for ${Math.round(spanWeeks)} weeks.`
    case 'unclear':
      return `Too noisy to call: between ${percent(slope - spread)} and ${percent(slope + spread)} a week.`
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
