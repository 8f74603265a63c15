import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { slotArbitrary } from '../../testing/arbitraries'
import { drop, sets, work } from '../../testing/notation'
import {
  allSets,
  isAlike,
  orderedText,
  plannedSets,
  type SetRun,
  splitSets,
  withRunsAdded,
  withSetsAdded,
} from './setScheme'

const eight = (count: number) => sets(count, [work(8, 2)])
const dropSet = sets(1, [work(8, 0), drop(8, 0)])
const falling: readonly SetRun[] = [14, 11, 9].map(reps => sets(1, [work(reps, 1)]))

describe('adding and cutting leaves techniques where they are', () => {
  test('one more set joins the plain ones; the drop stays on the last', () => {
    expect(withSetsAdded({ runs: [eight(3), dropSet] }, 1).runs).toEqual([eight(4), dropSet])
  })
  test('a falling row of reps loses its end', () => {
    expect(splitSets({ runs: falling }, 1).kept.runs).toEqual(falling.slice(0, 2))
  })
  test('cutting takes plain sets first', () => {
    expect(splitSets({ runs: [eight(3), dropSet] }, 2)).toEqual({
      kept: { runs: [eight(1), dropSet] },
      taken: [eight(2)],
    })
  })
  test('warm-up sets are neither added to nor cut', () => {
    const warmup = sets(2, [work(12)], { role: 'warmup' })
    expect(splitSets({ runs: [warmup, eight(1)] }, 5)).toEqual({
      kept: { runs: [warmup] },
      taken: [eight(1)],
    })
    expect(withSetsAdded({ runs: [warmup] }, 1).runs).toEqual([warmup])
  })
  test('a choice of two to four moves along', () => {
    const choice = sets(3, [work(8, 2)], { countRange: { low: 2, high: 4 } })
    expect(withSetsAdded({ runs: [choice] }, 1).runs[0]?.countRange).toEqual({ low: 3, high: 5 })
  })
  test('sets put back join their like', () => {
    expect(
      withRunsAdded({ runs: [eight(2), dropSet] }, [eight(1), ...falling.slice(0, 1)]).runs,
    ).toEqual([eight(3), dropSet, ...falling.slice(0, 1)])
  })
})

test('split and put back loses no set', () => {
  fc.assert(
    fc.property(slotArbitrary, fc.integer({ min: 0, max: 20 }), ({ scheme }, wanted) => {
      const { kept, taken } = splitSets(scheme, wanted)
      expect(plannedSets({ runs: taken })).toBe(Math.min(wanted, plannedSets(scheme)))
      expect(allSets(withRunsAdded(kept, taken))).toBe(allSets(scheme))
    }),
  )
})

describe('two values are alike where their text is', () => {
  const shuffled = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(shuffled)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(
            Object.entries(value)
              .reverse()
              .map(([key, held]) => [key, shuffled(held)]),
          )
        : value
  test('whatever they are, and in whatever order their keys stand', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 3 }), fc.jsonValue({ maxDepth: 3 }), (one, other) => {
        expect(isAlike(one, other)).toBe(orderedText(one) === orderedText(other))
        expect(isAlike(one, shuffled(one))).toBe(true)
        expect(isAlike({ one, other }, { other, one })).toBe(true)
      }),
    )
  })
  test('one change anywhere in a slot is seen', () => {
    fc.assert(
      fc.property(slotArbitrary, slotArbitrary, (one, other) => {
        expect(isAlike(one, structuredClone(one))).toBe(true)
        expect(isAlike(one, other)).toBe(orderedText(one) === orderedText(other))
      }),
    )
  })
  test.each([
    [{ a: 1 }, { a: 1, b: undefined }, true],
    [{ a: 1, b: undefined }, { a: 1 }, true],
    [{ a: 1 }, { a: 1, b: null }, false],
    [{ a: 1, b: 2 }, { a: 1 }, false],
    [[1, 2], [2, 1], false],
    [[1], [1, 2], false],
    [[], {}, false],
    [null, {}, false],
    ['1', 1, false],
  ])('%j and %j: %s', (one, other, is) => {
    expect(isAlike(one, other)).toBe(is)
    expect(isAlike(other, one)).toBe(is)
  })
})
