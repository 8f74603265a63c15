import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import type { SetUp } from '../../plan/scheme'
import { type DatedValue, setUpChanges, trendPointsOf } from '.'

const FROM = plainDate('2026-01-05')
const value = (week: number, kg: number, setUp?: SetUp): DatedValue => ({
  exercise: 'incline_dumbbell_curl',
  on: addDays(FROM, Math.round(week * 7)),
  value: kg,
  repsToFailure: 8,
  setUp,
})

describe('lines', () => {
  test('a set-up holds until another is said; the same again is the same line', () => {
    const values = [
      value(0, 20),
      value(1, 20, { bench: 45 }),
      value(2, 20),
      value(3, 20, { bench: 60 }),
      value(4, 20, { bench: 60 }),
      value(5, 20, { bench: 45 }),
    ]
    expect(trendPointsOf(values, FROM).map(({ week, line = 0 }) => [week, line])).toEqual([
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 1],
      [4, 1],
      [5, 0],
    ])
    expect(setUpChanges(values)).toEqual([
      { on: '2026-01-26', words: 'bench 60°' },
      { on: '2026-02-09', words: 'bench 45°' },
    ])
  })
  test('the first word about the set-up changes nothing', () => {
    expect(setUpChanges([value(0, 20), value(1, 20, { seat: 4 })])).toEqual([])
    expect(setUpChanges([value(0, 20), value(1, 20)])).toEqual([])
  })
})
