import type { Verdict } from '../body/trend'
import { formatOneDecimal, NBSP } from './figures'

/** A share in words a client reads: `nearly all`, `about two thirds`. */
export function shareInWords(share: number): string {
  if (share >= 0.97) return 'all'
  if (share >= 0.9) return 'nearly all'
  if (share >= 0.72) return 'about four fifths'
  if (share >= 0.58) return 'about two thirds'
  return share >= 0.42 ? 'about half' : share >= 0.2 ? 'about a third' : 'few'
}

/** What a change of strength over the block is to a client; a word of caution where the data do not say. */
export function strengthInWords(verdict: Verdict, slopePerWeek: number, weeks: number): string {
  const change = formatOneDecimal(Math.abs(Math.expm1(slopePerWeek * weeks)) * 100)
  switch (verdict) {
    case 'progress':
      return `stronger, by about ${change}${NBSP}% in ${Math.round(weeks)} weeks`
    case 'decline':
      return `down by about ${change}${NBSP}% in ${Math.round(weeks)} weeks`
    case 'plateau':
      return `as strong as ${Math.round(weeks)} weeks ago`
    case 'insufficient':
      return 'too few sessions to say yet'
    case 'unclear':
      return 'up and down; too early to say'
  }
}
