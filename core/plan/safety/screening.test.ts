import { describe, expect, test } from '@jest/globals'
import {
  isMinorBy,
  SCREENING_IDS,
  type ScreeningAnswer,
  type ScreeningId,
  screeningState,
} from './screening'

const all = (
  answer: ScreeningAnswer,
  other: Partial<Record<ScreeningId, ScreeningAnswer>> = {},
) => ({
  answers: { ...Object.fromEntries(SCREENING_IDS.map(id => [id, answer])), ...other },
  clearance: null,
})
const clearance = { on: '2026-04-01', profession: 'Physician', limits: 'none' }

describe('screening', () => {
  test.each([
    {
      name: 'nothing answered',
      actual: screeningState({ answers: {}, clearance: null }),
      expected: 'open',
    },
    {
      name: 'one missing',
      actual: screeningState({ ...all('no'), answers: { s1: 'no' } }),
      expected: 'open',
    },
    { name: 'all no', actual: screeningState(all('no')), expected: 'clear' },
    { name: 'chest pain', actual: screeningState(all('no', { s2: 'yes' })), expected: 'refer' },
    {
      name: 'not knowing counts as yes',
      actual: screeningState(all('no', { s1: 'unknown' })),
      expected: 'refer',
    },
    {
      name: 'cleared by a professional',
      actual: screeningState({ ...all('no', { s2: 'yes' }), clearance }),
      expected: 'clear',
    },
    {
      name: 'a sore joint has its own scale',
      actual: screeningState(all('no', { s7: 'yes' })),
      expected: 'clear',
    },
  ])('$name: $expected', ({ actual, expected }) => expect(actual).toBe(expected))
  test('under 18, or not known', () =>
    expect(
      [all('no'), all('no', { s10: 'yes' }), all('no', { s10: 'unknown' })].map(isMinorBy),
    ).toEqual([false, true, true]))
})
