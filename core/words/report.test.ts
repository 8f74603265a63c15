import { describe, expect, test } from '@jest/globals'
import { shareInWords, strengthInWords } from './index'

describe('what a client reads', () => {
  test.each([
    [1, 'all'],
    [0.93, 'nearly all'],
    [0.8, 'about four fifths'],
    [0.66, 'about two thirds'],
    [0.5, 'about half'],
    [0.3, 'about a third'],
    [0.1, 'few'],
  ] as const)('a share of %s', (share, words) => expect(shareInWords(share)).toBe(words))
  test.each([
    ['progress', 0.005, 6, /^stronger, by about 3\.0\s% in 6 weeks$/],
    ['decline', -0.01, 5, /^down by about 4\.9\s% in 5 weeks$/],
    ['plateau', 0, 7.4, /^as strong as 7 weeks ago$/],
    ['insufficient', 0, 0, /too few/],
    ['unclear', 0.001, 4, /too early/],
  ] as const)('%s', (verdict, slope, weeks, words) =>
    expect(strengthInWords(verdict, slope, weeks)).toMatch(words),
  )
})
