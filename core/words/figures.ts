import { type Figure, roundHalfUp } from '../base'
import type { Span } from '../plan/scheme'
import { writing } from './writing'

/** No-break space: a number never leaves its unit. */
export const NBSP = '\u00a0'
const MINUS = '−'

/** With the reader's own sign between whole and part. */
const written = (figure: string): string =>
  writing().decimals === 'comma' ? figure.replace('.', ',') : figure

/** A number with so many decimals. */
export const formatDecimals = (value: number, decimals: number): string =>
  written(value.toFixed(decimals).replace('-', MINUS))

/** A number with exactly one decimal, half up: weekly sets. */
export function formatOneDecimal(value: number): string {
  const tenths = roundHalfUp(value * 10)
  return `${tenths < 0 ? MINUS : ''}${written((Math.abs(tenths) / 10).toFixed(1))}`
}

/**
 * Readiness in whole percent, the same on every screen: rounded down, so that nobody reads as ready who is not.
 */
export const wholeReadiness = (readiness: number) => Math.floor(readiness + 1e-9)

/** A number of sets on one day: up to two decimals, a whole number without any. */
export function formatSets(value: number): string {
  return written(String(Number((roundHalfUp(value * 100) / 100).toFixed(2)))).replace('-', MINUS)
}

/** `3 sets`, `1 set`, `0.5 sets`. */
export function formatSetCount(value: number): string {
  return `${formatSets(value)} ${value === 1 ? 'set' : 'sets'}`
}

/** What a figure says besides its nominal value: ` (2–4)`, `at least` or nothing. */
export function formatFigure(
  figure: Figure,
  format: (value: number) => string = formatSets,
): string {
  if (figure.high === Infinity) return `at least ${format(figure.low)}`
  const ends = figure.low === figure.high ? '' : ` (${format(figure.low)}–${format(figure.high)})`
  const about = figure.assumed.length > 0 ? `≈${NBSP}` : ''
  return `${about}${format(figure.value)}${ends}`
}

/** Whole part, direct, and what is left, so that the parts on screen always add up to the total on screen. */
export function splitOnScreen(
  direct: number,
  counted: number,
): { readonly direct: string; readonly indirect: string; readonly counted: string } {
  const total = roundHalfUp(counted * 10)
  const own = roundHalfUp(direct * 10)
  return {
    counted: formatOneDecimal(total / 10),
    direct: formatOneDecimal(own / 10),
    indirect: formatOneDecimal((total - own) / 10),
  }
}

/** `3` or `3 to 4`: seconds where the unit stands elsewhere. */
export function formatSpanWords(span: Span): string {
  return typeof span === 'number'
    ? formatSets(span)
    : `${formatSets(span.low)} to ${formatSets(span.high)}`
}
