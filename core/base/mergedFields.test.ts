import { isDeepStrictEqual } from 'node:util'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { mergedFields } from './mergedFields'

type Kept = Readonly<Record<string, unknown>>
const merged = (was: Kept, mine: Kept, now: Kept) =>
  mergedFields({ was, mine, now }, isDeepStrictEqual)
const WAS = {
  name: 'Ines',
  notes: ['wrist'],
  bands: { biceps: { floor: 4 }, triceps: { floor: 6 } },
}

describe('two changes of one record', () => {
  test.each([
    [
      'of two fields',
      { ...WAS, name: 'Inés' },
      { ...WAS, notes: [] },
      { ...WAS, name: 'Inés', notes: [] },
    ],
    [
      'of two muscles',
      { ...WAS, bands: { ...WAS.bands, biceps: { floor: 5 } } },
      { ...WAS, bands: { ...WAS.bands, triceps: { floor: 7 } } },
      { ...WAS, bands: { biceps: { floor: 5 }, triceps: { floor: 7 } } },
    ],
    [
      'to the same',
      { ...WAS, notes: ['elbow'] },
      { ...WAS, notes: ['elbow'] },
      { ...WAS, notes: ['elbow'] },
    ],
    [
      'where a muscle goes away',
      { ...WAS, bands: { triceps: { floor: 6 } } },
      { ...WAS, name: 'Inés' },
      { name: 'Inés', notes: ['wrist'], bands: { triceps: { floor: 6 } } },
    ],
  ])('%s are both kept', (_, mine, now, expected) => {
    expect(merged(WAS, mine, now)).toMatchObject({ merged: expected, contested: [] })
  })

  test('of one field are told, and the next look holds only that field against how it is now', () => {
    const mine = { ...WAS, notes: ['elbow'], name: 'Inés' }
    const now = {
      ...WAS,
      notes: ['shoulder'],
      bands: { ...WAS.bands, biceps: { floor: 5 } },
    }
    const first = merged(WAS, mine, now)
    expect(first.contested).toEqual(['notes'])
    const second = merged(first.base, mine, now)
    expect(second.contested).toEqual([])
    expect(second.merged).toEqual({ ...mine, bands: now.bands })
    const bands = (floor: number) => ({ ...WAS, bands: { ...WAS.bands, biceps: { floor } } })
    expect(merged(WAS, bands(5), bands(7)).contested).toEqual(['bands.biceps'])
  })

  test('whatever they are: nothing either side changed alone is lost', () => {
    const value = fc.constantFrom<unknown>(1, 2, undefined, [1], { a: 1 }, { a: 2, b: 1 })
    const record = fc.record({ one: value, two: value, three: value })
    fc.assert(
      fc.property(record, record, record, (was, mine, now) => {
        const { merged: got, contested, base } = merged(was, mine, now)
        for (const key of ['one', 'two', 'three'] as const) {
          const kept = got[key]
          if (isDeepStrictEqual(mine[key], was[key])) expect(kept).toEqual(now[key])
          else if (isDeepStrictEqual(now[key], was[key])) expect(kept).toEqual(mine[key])
          if (!contested.some(path => path.split('.')[0] === key) && Array.isArray(mine[key]))
            expect([mine[key], now[key]]).toContainEqual(kept)
        }
        expect(merged(base as Kept, mine, now).contested).toEqual([])
      }),
    )
  })
})
