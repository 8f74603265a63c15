import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { InvariantError } from './invariant'
import { itemAt, keysOf, mapNonEmpty, nonEmpty, recordOf } from './shapes'

describe('a record of keys', () => {
  test('has a value for each key, in their order, and knows the place', () =>
    expect(Object.entries(recordOf(['b', 'a'], (key, at) => `${key}${at}`))).toEqual([
      ['b', 'b0'],
      ['a', 'a1'],
    ]))

  test('without keys holds nothing', () => expect(recordOf([], () => 1)).toEqual({}))

  test('a key that is not there does not compile', () => {
    const record = recordOf(['a'], () => 1)
    // @ts-expect-error there is no b
    expect(record.b).toBeUndefined()
  })
})

describe('keys of a table', () => {
  test('come in the order in which they stand', () =>
    expect(keysOf({ wrist: 1, elbow: 2 })).toEqual(['wrist', 'elbow']))
  test('of an empty table are a broken assumption', () =>
    expect(() => keysOf({})).toThrow(InvariantError))
})

describe('a list that is not empty', () => {
  test('is the same list', () =>
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1 }), items => {
        expect(nonEmpty(items, 'numbers')).toEqual(items)
      }),
    ))
  test('says what was empty', () =>
    expect(() => nonEmpty([], 'stages of a run')).toThrow(
      'stages of a run: at least one is expected, and there is none',
    ))
  test('is changed item by item, with their places', () =>
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1 }), items => {
        const change = (item: number, at: number) => item * 10 + at
        expect(mapNonEmpty(nonEmpty(items, 'numbers'), change)).toEqual(items.map(change))
      }),
    ))
  test('may hold undefined, and keeps it', () =>
    expect(nonEmpty([undefined, 1], 'odd')).toEqual([undefined, 1]))
})

describe('an item at a place', () => {
  test.each([
    [0, 'a'],
    [1, 'b'],
  ])('%d is %s', (at, item) => expect(itemAt(['a', 'b'], at)).toBe(item))
  test.each([-1, 2])('%d is a broken assumption, with the list named', at =>
    expect(() => itemAt(['a', 'b'], at, 'days')).toThrow(`days: there is no place ${at} among 2`),
  )
})
