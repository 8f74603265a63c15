import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { ownBand } from './ownBand'

const usual = { floor: 6, target: 10, ceiling: 14 }

test.each([
  { name: 'nothing of one’s own', own: {}, band: usual },
  { name: 'a floor within the band', own: { floor: 8 }, band: { ...usual, floor: 8 } },
  {
    name: 'a floor over the target pushes it',
    own: { floor: 12 },
    band: { floor: 12, target: 12, ceiling: 14 },
  },
  {
    name: 'a floor over the ceiling pushes both',
    own: { floor: 20 },
    band: { floor: 20, target: 20, ceiling: 20 },
  },
  {
    name: 'a target under the floor pulls it',
    own: { target: 4 },
    band: { floor: 4, target: 4, ceiling: 14 },
  },
  {
    name: 'a target over the ceiling pushes it',
    own: { target: 18 },
    band: { floor: 6, target: 18, ceiling: 18 },
  },
  {
    name: 'a ceiling under the target pulls it',
    own: { ceiling: 8 },
    band: { floor: 6, target: 8, ceiling: 8 },
  },
  {
    name: 'a ceiling under the floor pulls both',
    own: { ceiling: 3 },
    band: { floor: 3, target: 3, ceiling: 3 },
  },
  {
    name: 'all three',
    own: { floor: 1, target: 2, ceiling: 3 },
    band: { floor: 1, target: 2, ceiling: 3 },
  },
])('$name', ({ own, band }) => expect(ownBand(own, usual)).toEqual(band))

test('whatever one number is, the band stays in order and keeps that number', () => {
  const figure = fc.integer({ min: 0, max: 60 })
  fc.assert(
    fc.property(fc.constantFrom('floor', 'target', 'ceiling'), figure, (key, value) => {
      const band = ownBand({ [key]: value }, usual)
      expect(band[key as 'floor']).toBe(value)
      expect(band.floor <= band.target && band.target <= band.ceiling).toBe(true)
    }),
  )
})
