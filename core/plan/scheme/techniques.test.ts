import { describe, expect, test } from '@jest/globals'
import { formatScheme, parseScheme } from '../shorthand'
import { plannedSets, type SetScheme, TECHNIQUES } from '.'

const scheme = (text: string): SetScheme => {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(text)
  return parsed.value
}
const applied = (id: string, text = 'warm-up 1 x 8, then 4 x 10, rir 2, rest 90s') =>
  formatScheme(
    (TECHNIQUES.find(technique => technique.id === id) ?? TECHNIQUES[0])?.apply(scheme(text)) ?? {
      runs: [],
    },
  )

describe('ways to do sets', () => {
  test.each([
    ['straight', 'warm-up 1 x 8, then 4 x 10, rir 2, rest 90s'],
    [
      'failure_last',
      'warm-up 1 x 8, then 3 x 10, rir 2, rest 90s, then 1 x 10, at failure, rest 90s',
    ],
    ['falling_rir', 'warm-up 1 x 8, then 4 x 10, rir 3/2/1/0, rest 90s'],
    ['falling_reps', 'warm-up 1 x 8, then 4 x 13/11/9/7, rir 2, rest 90s'],
    ['drop_last', 'warm-up 1 x 8, then 4 x 10, rir 2, rest 90s, last: drop 30% to failure'],
    [
      'double_drop_last',
      'warm-up 1 x 8, then 4 x 10, rir 2, rest 90s, last: drop 20% of first to failure | drop 20% of first to failure',
    ],
    ['until_total', 'warm-up 1 x 8, then 1 x 10 at failure | rest 20s | until 25, rest 90s'],
    ['hold_last', 'warm-up 1 x 8, then 4 x 10, rir 2, rest 90s, last: hold 30s long'],
    ['slow_lowering', 'warm-up 1 x 8, then 4 x 10, lower 4s, rir 2, rest 90s'],
  ])('%s', (id, text) => expect(applied(id)).toBe(text))

  test.each(TECHNIQUES.map(({ id }) => id))(
    '%s can be typed, keeps the warm-up, and goes back to straight sets',
    id => {
      const text = applied(id)
      const parsed = parseScheme(text)
      expect(parsed.ok && formatScheme(parsed.value)).toBe(text)
      expect(text).toMatch(/^warm-up 1 x 8/)
      expect(plannedSets(scheme(text))).toBeGreaterThan(0)
      expect(formatScheme(TECHNIQUES[0]?.apply(scheme(text)) ?? { runs: [] })).toMatch(
        /^warm-up 1 x 8/,
      )
    },
  )
  test.each(TECHNIQUES.map(({ id }) => id))('%s stands a single set', id =>
    expect(plannedSets(scheme(applied(id, '1 x 10')))).toBe(1),
  )
})
