import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../base'
import { houseText, readHouse } from './house'

const TODAY = plainDate('2026-11-28')
const typed = { opens: '', closes: '', coaches: '', closed: '' }

describe('hours and days of a studio as they are typed', () => {
  test.each([
    [
      { opens: '6', closes: '21.30', coaches: '2' },
      { opens: '06:00', closes: '21:30', coaches: 2 },
    ],
    [{}, {}],
    [
      { closed: '24 Dec 2026; 2026-12-31 to 2027-01-01' },
      { closed: ['2026-12-24', '2026-12-31', '2027-01-01'] },
    ],
  ])('%j', (said, house) => {
    expect(readHouse({ ...typed, ...said }, TODAY)).toEqual({ house, complaints: {} })
  })

  test.each([
    ['opens', { opens: 'noon' }, /“noon” is no time; type one such as 06:30/],
    ['opens', { opens: '25:00' }, /is no time/],
    ['closes', { opens: '21:00', closes: '6' }, /before it opens/],
    ['coaches', { coaches: '0' }, /1 to 20/],
    ['closed', { closed: 'never' }, /never/],
    ['closed', { closed: '2026-12-31 to 2026-12-24' }, /ends before it begins/],
    ['closed', { closed: '2026-12-01 to 2027-12-01' }, /More than 60 days/],
  ] as const)('%s of %j is told at its field', (field, said, words) => {
    expect(readHouse({ ...typed, ...said }, TODAY).complaints[field]).toMatch(words)
  })

  test('are written back as they read', () => {
    const house = fc.record(
      {
        opens: fc.constantFrom('05:30', '06:00'),
        closes: fc.constantFrom('20:00', '23:59'),
        coaches: fc.integer({ min: 1, max: 20 }),
        closed: fc
          .uniqueArray(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 9 })
          .map(days => days.sort((a, b) => a - b).map(at => addDays(TODAY, at))),
      },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(house, one => {
        expect(readHouse(houseText(one), TODAY)).toEqual({ house: one, complaints: {} })
      }),
    )
  })
})
