import { daysBetween, DAYS_PER_WEEK, type PlainDate } from '../../base'
import { setUpText } from '../../plan/scheme'
import type { DatedValue } from './excludedEstimates'
import type { TrendPoint } from './trendPoint'

/** A day from which an exercise was set up otherwise than before, in words. */
export interface SetUpChange {
  readonly on: PlainDate
  readonly words: string
}

interface Placed<One> {
  readonly value: One
  readonly line: number
  /** Said here, and otherwise than before. */ readonly change: string | null
}

/** The number of a line; the first word about a set-up names the line that lay there without one. */
function lineOf(lines: string[], way: string, setUp: string): number {
  const [bare, named] = [`${way}|`, `${way}|${setUp}`]
  if (!lines.includes(named)) {
    const unnamed = lines.indexOf(bare)
    if (unnamed >= 0) lines[unnamed] = named
    else lines.push(named)
  }
  return lines.indexOf(named)
}

/** Lines of one exercise: what was said of its set-up holds until something else is; the same again is the same line. */
export function placedLines<One extends DatedValue>(
  values: readonly One[],
): readonly Placed<One>[] {
  const lines: string[] = []
  // What takes its turn held otherwise goes by its own words; the others know nothing of them.
  const said = new Map<string, string>()
  return [...values]
    .sort((a, b) => a.on.localeCompare(b.on))
    .map(value => {
      const way = value.heldAs ?? ''
      const before = said.get(way) ?? ''
      const told = setUpText(value.setUp)
      // Before anything was said there is nothing to tell it from.
      const change = told !== '' && before !== '' && told !== before ? told : null
      const now = told === '' ? before : told
      said.set(way, now)
      const line = lineOf(lines, way, now)
      return { value, line, change }
    })
}

/**
 * Estimates of one exercise as points of its trend: a change of set-up begins a line of its own.
 *
 * Shape:  in the order of their days. Units: weeks from `from`.
 * Edge:   values before the first word about the set-up lie on the first line.
 * Source: docs/methods.md#trend.
 */
export function trendPointsOf(
  values: readonly DatedValue[],
  from: PlainDate,
): readonly TrendPoint[] {
  return placedLines(values).map(({ value: { on, value, repsToFailure }, line }) => ({
    week: daysBetween(from, on) / DAYS_PER_WEEK,
    value,
    repsToFailure,
    ...(line > 0 && { line }),
  }))
}

/** Days on which one exercise was set up otherwise than before, in the order of their days. */
export function setUpChanges(values: readonly DatedValue[]): readonly SetUpChange[] {
  return placedLines(values).flatMap(({ value: { on }, change }) =>
    change === null ? [] : [{ on, words: change }],
  )
}
