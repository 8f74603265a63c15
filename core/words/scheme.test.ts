import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE } from '../plan/catalogue'
import { parseScheme } from '../plan/shorthand'
import { CASES } from '../testing/cases'
import { written } from '../testing/shorthandPlans'
import { schemeArbitrary } from '../testing/schemes'
import { NBSP } from './figures'
import { schemeLines } from './scheme'

const words = (text: string) => {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(text)
  return schemeLines(parsed.value, BUILT_IN_CATALOGUE).join(' / ').replaceAll(NBSP, ' ')
}

describe('sets in words', () => {
  test.each([
    ['4 x 10-12, rir 2, rest 90s', '4 × 10–12, 2 in reserve, rest 90 s'],
    [
      'warm-up 1 x 8 50% usual, then 3 x 8, 22.5kg per hand',
      'warm-up 1 × 8, 50 % of the working weight / 3 × 8, 22.5 kg in each hand',
    ],
    ['4 x 10, last: drop 30% to failure', '3 × 10 / 1 × 10 → to failure, 30 % lighter'],
    [
      '1 x 11 at failure | rest 20s | until 30',
      '1 × 11, until no rep is possible → rest 20 s → in short bouts until 30 in all',
    ],
    ['3 x 7 lower half | 7 upper half | 7', '3 × 7, lower half → 7, upper half → 7'],
    ['2-4 (3) x 9, left then right', '2–4 × 9, left, then right'],
    [
      '3 x 9 palms facing, tempo 3-0-1-2',
      '3 × 9, 3 s down, 1 s up, 2 s at the short end, palms facing',
    ],
    [
      '3 x 12, last: hold 45s long; load must not fall',
      '2 × 12 / 1 × 12 → hold long 45 s / the weight must not fall',
    ],
    ['1 x 12 | 15 as band_pushdown', '1 × 12 → 15, as band pushdown'],
    ['3 x to failure 11-14', '3 × to failure, between 11 and 14'],
  ])('%s', (text, expected) => expect(words(text)).toBe(expected))

  test.each(CASES.map(({ id, lines }) => [id, lines] as const))('%s can be said', (_, lines) => {
    for (const session of written('arms', ...lines).sessions) {
      for (const { slots } of session.groupings)
        for (const { scheme } of slots)
          expect(schemeLines(scheme, BUILT_IN_CATALOGUE).join(' ')).toMatch(/×/)
    }
  })
  test('nothing is left unsaid or said as a code, whatever the scheme', () => {
    fc.assert(
      fc.property(schemeArbitrary, scheme => {
        const text = schemeLines(scheme, BUILT_IN_CATALOGUE).join('\n')
        expect(text).not.toMatch(/undefined|NaN|\[object/)
        expect(text.trim()).not.toBe('')
      }),
    )
  })
})
