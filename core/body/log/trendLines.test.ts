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
  test('what was held otherwise for its turn lies on a line of its own, and changes no set-up', () => {
    const facing = (week: number, setUp?: SetUp) => ({
      ...value(week, 26, setUp),
      heldAs: 'palms facing',
    })
    const values = [
      value(0, 20, { bench: 45 }),
      facing(1),
      value(2, 20),
      facing(3, { bench: 60 }),
      value(4, 20, { bench: 45 }),
      facing(5),
    ]
    expect(trendPointsOf(values, FROM).map(({ line = 0 }) => line)).toEqual([0, 1, 0, 1, 0, 1])
    expect(setUpChanges(values)).toEqual([])
  })
  test('the first word about the set-up changes nothing', () => {
    expect(setUpChanges([value(0, 20), value(1, 20, { seat: 4 })])).toEqual([])
    expect(setUpChanges([value(0, 20), value(1, 20)])).toEqual([])
  })
})
