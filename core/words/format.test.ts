import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exactly, exerciseId, isPlainDate, plainDate, slotId } from '../base'
import { BUILT_IN_CATALOGUE } from '../plan/catalogue'
import {
  creditWords,
  dayName,
  editProblemSentence,
  shorthandProblemSentence,
  formatDay,
  formatFigure,
  formatOneDecimal,
  formatSetCount,
  formatSets,
  splitOnScreen,
} from './index'
import { parseScheme } from '../plan/shorthand'

describe('figures', () => {
  test.each([
    [20.05, '20.1'],
    [17, '17.0'],
    [-0.5, '−0.5'],
    [0.04, '0.0'],
  ])('%d with one decimal is %s', (value, text) => expect(formatOneDecimal(value)).toBe(text))
  test.each([
    [3, '3'],
    [4.5, '4.5'],
    [0.75, '0.75'],
    [2.333, '2.33'],
  ])('%d sets are %s', (value, text) => expect(formatSets(value)).toBe(text))
  test('one set, two sets', () =>
    expect([formatSetCount(1), formatSetCount(0.5)]).toEqual(['1 set', '0.5 sets']))
  test.each([
    [exactly(3), '3'],
    [{ value: 3, low: 2, high: 4, assumed: [] }, '3 (2–4)'],
    [{ value: 7, low: 7, high: Infinity, assumed: [] }, 'at least 7'],
    [{ value: 9, low: 9, high: 9, assumed: ['rir' as const] }, '≈\u00a09'],
  ])('%j', (figure, text) => expect(formatFigure(figure)).toBe(text))
  test('parts on screen always add up to the total on screen', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (direct, indirect) => {
          const shown = splitOnScreen(direct, direct + indirect)
          expect(Number(shown.direct) + Number(shown.indirect)).toBeCloseTo(
            Number(shown.counted),
            9,
          )
        },
      ),
    )
  })
})

test('dates are days, whatever the clock', () => {
  expect(formatDay(plainDate('2026-04-03'))).toBe('Fri 3 Apr')
  expect(formatDay(plainDate('2026-03-29'), 'narrow')).toBe('Sun 29')
  expect([isPlainDate('2026-02-30'), isPlainDate('2024-02-29'), isPlainDate('3 April')]).toEqual([
    false,
    true,
    false,
  ])
})

test('words', () => {
  expect(dayName({ role: 'other', label: 'Back and biceps', sessions: [] })).toBe('Back and biceps')
  expect([creditWords(0.5), creditWords(0.6)]).toEqual(['at half', 'at 0.6'])
})

test('every refused edit has a sentence that says what to do', () => {
  const problems = [
    { kind: 'no_such_slot', slot: slotId('x') },
    { kind: 'no_such_day', day: 8 },
    { kind: 'rest_day', day: 2 },
    { kind: 'too_many_sets', exercise: exerciseId('cable_curl'), limit: 20 },
  ] as const
  expect(problems.map(problem => editProblemSentence(problem, BUILT_IN_CATALOGUE))).toEqual([
    'This exercise is no longer in the plan. Choose another one.',
    'The rotation has no day 9. Choose another day.',
    'Day 3 is rest. Choose a training day.',
    'Cable curl, bar would pass 20 sets in one session. Cut sets or use a second exercise.',
  ])
})

test('what cannot be read is told with its place and what was expected', () => {
  const sentence = (text: string) => {
    const result = parseScheme(text)
    return result.ok ? '' : shorthandProblemSentence(result.error)
  }
  expect(
    [
      '4 x 9, rir two',
      '4 x',
      '5 x 11/9',
      '2-4 x 9/8',
      '3 x 9 rir 2 rir 1',
      '2 x 9, last 3: hold 20s long',
    ].map(sentence),
  ).toEqual([
    'At character 12: "two" cannot be read. Expected a number of reps in reserve such as 2.',
    'At character 4: the text ends here. Expected reps such as 9, 7-9 or to failure.',
    'At character 1: 5 sets, but a row of 2 values. Write one value for each set.',
    'At character 1: rows and "last" need a fixed number of sets. Write the number, or leave the row out.',
    'At character 13: "rir" says something that was said already. Leave one of the two out.',
    'At character 8: there are only 2 sets. Write a smaller number behind "last".',
  ])
})
