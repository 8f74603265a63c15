import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { schemeArbitrary } from '../../testing/schemes'
import { formatScheme, inOneSpelling, nearestScheme, parseScheme } from '.'

const readAs = (text: string): string => {
  const read = parseScheme(text)
  return read.ok ? formatScheme(read.value) : `not read: ${text.slice(read.error.at)}`
}

test.each([
  ['3x10-12', '3 x 10-12'],
  ['3×10', '3 x 10'],
  ['3 sets of 12', '3 x 12'],
  ['2x10@20kg', '2 x 10, 20kg'],
  ['3x12 20kg rpe8', '3 x 12, 20kg, rir 2'],
  ['3x12 @8', '3 x 12, rir 2'],
  ['4x8-12 + drop', '4 x 8-12, last: drop 20% to failure'],
  ['21s', '1 x 7 lower half | 7 upper half | 7'],
  ['3x21s', '3 x 7 lower half | 7 upper half | 7'],
  ['amrap', '1 x to failure'],
  ['3 x amrap', '3 x to failure'],
  ['3x10 x 20kg', '3 x 10, 20kg'],
  ['10,10,8 20kg', '10/10/8, 20kg'],
  ['3x10 20,5kg', '3 x 10, 20.5kg'],
  ['5x5 rest 2 min', '5 x 5, rest 120s'],
  ['3x12 each side', '3 x 12, left then right'],
  ['2x8 rir2 rest 90', '2 x 8, rir 2, rest 90s'],
])('%s is read as %s', (typed, read) => expect(readAs(typed)).toBe(readAs(read)))

describe('what is printed', () => {
  test('is read as it always was: the spellings touch nothing that reads without them', () => {
    fc.assert(
      fc.property(schemeArbitrary, scheme => {
        const text = formatScheme(scheme)
        expect(readAs(text)).toBe(text)
      }),
    )
  })
})

test.each([
  ['heavy', 'no number at all'],
  ['3 x heavy', 'no reps'],
])('%s is not guessed at: %s', typed => expect(parseScheme(typed).ok).toBe(false))

test('a note keeps its words', () => {
  expect(inOneSpelling('3x10, if "21s @8 felt easy"')).toBe('3 x 10, if "21s @8 felt easy"')
})

test.each([
  ['3x10 blub', '3 x 10'],
  ['4 x 8-12, foo 9, rir 2', '4 x 8-12, rir 2'],
])('%s would be read as %s', (typed, offered) => {
  expect(parseScheme(typed).ok).toBe(false)
  const near = nearestScheme(typed)
  expect(near && formatScheme(near)).toBe(offered)
})
