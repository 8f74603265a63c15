import type { Effort } from '../plan/scheme'
import { formatSets } from './figures'

/** How effort is called, on every screen and paper: to tell it as RPE, this file is changed and no other. */
export const EFFORT = {
  name: 'Reps in reserve',
  inText: 'reps in reserve',
  /** After a number. */
  after: 'in reserve',
  short: 'RIR',
  /** What was left at the end of a set, in logs. */
  logged: 'Reps left',
} as const

/** `2 in reserve`, `none in reserve`. */
export const reserveWords = (rir: number) =>
  rir === 0 ? `none ${EFFORT.after}` : `${formatSets(rir)} ${EFFORT.after}`

/** `RIR 2`, `RIR 3 and 1`, `RIR 3 → 1`. */
export const shortEffort = (first: number, second = first, between = 'and') =>
  first === second ? `${EFFORT.short} ${first}` : `${EFFORT.short} ${first} ${between} ${second}`

/** `2 left`, `4 or more left`: at the end of a set that was done. */
export const leftWords = (rir: number, isOpen: boolean) =>
  `${formatSets(rir)}${isOpen ? ' or more' : ''} left`

/** `2 in reserve`, `until no rep is possible`. */
export function effortWords(effort: Effort | undefined): string {
  switch (effort?.kind) {
    case undefined:
      return ''
    case 'failure':
      return 'until no rep is possible'
    case 'rir':
      return reserveWords(effort.rir)
    case 'in_words':
      return effort.text
  }
}
