import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fittingAround } from './fittingAround'

/** Items by their letters. */
const shown = (letters: readonly number[], at = -1) => fittingAround(letters, at, of => of)

describe('findings beside the balance', () => {
  test.each<readonly [string, readonly number[], number, readonly number[]]>([
    ['four short ones', [10, 20, 30, 40, 50], -1, [10, 20, 30, 40]],
    ['two long ones', [60, 80, 60], -1, [60, 80]],
    ['a long one among short ones', [60, 20, 30, 40], -1, [60, 20, 30]],
    ['longer than two lines counts two', [400, 20, 20, 20], -1, [400, 20, 20]],
    ['moved along to the one that is looked at', [60, 80, 60, 20], 3, [60, 20]],
    ['the first looked at: as they are', [60, 80, 60], 0, [60, 80]],
    ['none', [], -1, []],
  ])('%s', (_, letters, at, found) => expect(shown(letters, at)).toEqual(found))

  test('the one looked at is always there, and what is there fits', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 20 }),
        fc.nat(),
        (letters, seed) => {
          const at = seed % letters.length
          const items = letters.map((of, place) => ({ of, place }))
          const found = fittingAround(items, at, ({ of }) => of)
          expect(found.map(({ place }) => place)).toContain(at)
          const lines = found.reduce(
            (sum, { of }) => sum + Math.max(1, Math.min(2, Math.ceil(of / 50))),
            0,
          )
          expect(lines).toBeLessThanOrEqual(4)
          expect(found.map(({ place }) => place)).toEqual(found.map((__, n) => found[0]!.place + n))
        },
      ),
    )
  })
})
