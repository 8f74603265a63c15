import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { unstorable } from './unstorable'

describe('what cannot be kept', () => {
  test.each([
    ['a NUL', { name: 'A\0b' }, '/name', /^name holds a character/],
    ['half a character', { about: { notes: ['fine', 'x\uD83D'] } }, '/about/notes/1', /half of/],
    [
      'a number no column holds',
      { plan: { passes: 1e12 } },
      '/plan/passes',
      /^passes is too large/,
    ],
    ['a name of a member', { titles: { 'a\0': 1 } }, '/titles', /name cannot be kept/],
    ['a name with a stroke', { 'a/b': '\0' }, '/a~1b', /NUL/],
    ['the body itself', '\0', '', /^The body holds/],
  ])('%s is told with its place', (_, body, pointer, detail) => {
    expect(unstorable(body)).toEqual([
      { pointer, kind: 'custom', detail: expect.stringMatching(detail) },
    ])
  })
  test('everything else goes through, whatever its shape', () =>
    fc.assert(
      fc.property(fc.jsonValue({ noUnicodeString: false }), value => {
        const text = JSON.stringify(value)
        const hasFault = /\\u0000|\\ud[89a-f]/i.test(text) || /\d{10,}|e\+/.test(text)
        expect(hasFault || unstorable(JSON.parse(text)).length === 0).toBe(true)
      }),
    ))
  test('of many faults five are told', () =>
    expect(unstorable(Array(50).fill('\0'))).toHaveLength(5))
})
