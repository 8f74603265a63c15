import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { normalScheme } from '../scheme'
import { schemeArbitrary } from '../../testing/schemes'
import { formatScheme, parseScheme } from './scheme'

test('every scheme is printed so that reading gives it back', () => {
  fc.assert(
    fc.property(schemeArbitrary, scheme => {
      const text = formatScheme(scheme)
      expect({ text, result: parseScheme(text) }).toEqual({
        text,
        result: { ok: true, value: normalScheme(scheme) },
      })
    }),
    { numRuns: 400 },
  )
})

describe('what may be typed in another way is printed in one', () => {
  test.each([
    ['11/9/7/7 rir 2', '4 x 11/9/7/7, rir 2'],
    ['4 x rir 2 9', '4 x 9, rir 2'],
    ['4 x 9, rest 90s, rir 2', '4 x 9, rir 2, rest 90s'],
    ['2 x 9, then 2 x 9', '4 x 9'],
    ['2-4 x 9', '2-4 (3) x 9'],
    ['1 x drop 30% to failure', '1 x to failure, drop 30%'],
    ['3 x 8 tempo 5-x-x-x', '3 x 8, lower 5s'],
  ])('%s', (typed, printed) => {
    const result = parseScheme(typed)
    expect(result.ok && formatScheme(result.value)).toBe(printed)
  })
})

describe('what cannot be read is named with its place and what was expected', () => {
  test.each([
    { text: '', at: 0, expected: 'reps such as 9, 7-9 or to failure' },
    { text: 'four x 9', at: 0, expected: 'a number of sets such as 4, 2-4 or 2+' },
    { text: '4 x', at: 3, expected: 'reps such as 9, 7-9 or to failure' },
    { text: '4 x 9, wet 90s', at: 7, expected: 'rest 90s' },
    { text: '4 x 9, rir two', at: 11, expected: 'a number of reps in reserve such as 2' },
    { text: '4 x 9 | drop 30% of last', at: 17, expected: 'reps such as 9, 7-9 or to failure' },
    { text: '4 x 9, then', at: 11, expected: 'reps such as 9, 7-9 or to failure' },
    { text: '4 x 9; lift it', at: 7, expected: 'load held' },
    {
      text: '4 x 9, tempo 3-0-1',
      at: 13,
      expected: 'four numbers such as 3-0-1-0, with x for one that is open',
    },
    { text: '3 x 9 with rope', at: 11, expected: 'a text in double quotes' },
    { text: '3 x 9 with "rope', at: 10, expected: 'a closing quote' },
  ])('$text', ({ text, at, expected }) => {
    const result = parseScheme(text)
    expect(result).toMatchObject({ ok: false, error: { kind: 'unexpected', at } })
    expect(!result.ok && result.error.kind === 'unexpected' && result.error.expected).toContain(
      expected,
    )
  })
  test.each([
    ['5 x 11/9/7/7', { kind: 'row_length', sets: 5, values: 4 }],
    ['2-4 x 9/8/7', { kind: 'open_count' }],
    ['2 x 9, last 3: hold 20s long', { kind: 'too_few_sets', sets: 2 }],
    ['3 x 9 rir 2 rir 1', { kind: 'repeated', found: 'rir', at: 12 }],
  ])('%s', (text, error) => expect(parseScheme(text)).toMatchObject({ ok: false, error }))
})
