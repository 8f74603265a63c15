import { describe, expect, test } from '@jest/globals'
import { logged, slotWith, type Said } from '../../testing/loads'
import { otherwiseWords } from '../../words'
import { meantOtherwise } from './meant'

const drops = (text: string, sets: readonly (readonly [first: number, second: number])[]) => {
  const slot = slotWith('dumbbell_curl', text)
  const done = sets.flatMap(([first, second], at) => [
    ...logged('dumbbell_curl', '2026-04-01', [[first, 10]], { set: at + 1 }),
    ...logged('dumbbell_curl', '2026-04-01', [[second, 8]], { set: at + 1, stage: 2 }),
  ])
  return meantOtherwise([{ slot, sets: done }])
}

describe('a drop', () => {
  test('that the weights there are missed is told, with how often', () => {
    const found = drops('3 x 10 | drop 30% to failure', [
      [20, 15],
      [20, 15],
      [20, 14],
    ])
    expect(found).toEqual([{ kind: 'drop', meant: 0.3, done: 0.25, times: 2, of: 3 }])
    expect(otherwiseWords(found[0]!)).toBe('drop of 30\u00a0% meant, 25\u00a0% done in 2 of 3 sets')
  })
  test('near enough is as meant, and so is one that was left out or is no share', () => {
    expect(
      drops('2 x 10 | drop 30% to failure', [
        [20, 14],
        [20, 14.5],
      ]),
    ).toEqual([])
    expect(drops('1 x 10 | drop 3kg to failure', [[20, 12]])).toEqual([])
    const slot = slotWith('dumbbell_curl', '1 x 10 | drop 30% to failure')
    const only = logged('dumbbell_curl', '2026-04-01', [[20, 10]])
    expect(meantOtherwise([{ slot, sets: only }])).toEqual([])
  })
  test('of the first load is told against the first', () =>
    expect(
      drops('1 x 10 | drop 50% of first to failure', [[20, 14]]).map(
        one => one.kind === 'drop' && one.done,
      ),
    ).toEqual([expect.closeTo(0.3, 9)]))
})

describe('a load that is to hold', () => {
  const falls = (text: string, loads: readonly number[]) =>
    meantOtherwise([
      {
        slot: slotWith('dumbbell_curl', text),
        sets: logged(
          'dumbbell_curl',
          '2026-04-01',
          loads.map((load): Said => [load, 10]),
        ),
      },
    ])
  test('and fell twice is told; once is no rule', () => {
    expect(falls('4 x 9; load must not fall', [20, 18, 16, 16])).toEqual([
      { kind: 'load_fell', times: 2, of: 3 },
    ])
    expect(falls('4 x 9; load must not fall', [20, 18, 18, 20])).toEqual([])
    expect(falls('4 x 9; load may fall', [20, 18, 16, 14])).toEqual([])
  })
  test('another exercise in its place says nothing', () => {
    const slot = slotWith('dumbbell_curl', '3 x 9; load held')
    const other = logged('cable_curl', '2026-04-01', [
      [20, 9],
      [15, 9],
      [10, 9],
    ])
    expect(meantOtherwise([{ slot, sets: other }])).toEqual([])
  })
})
