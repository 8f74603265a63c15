import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, requireExercise } from '../catalogue'
import {
  barOf,
  type Gear,
  GEAR_FIELDS,
  type GearField,
  gearSentence,
  loadGrid,
  nextWeight,
  parsedGear,
  platesASide,
  roundLoad,
  takenApart,
  topOf,
} from '.'

const weights = (field: GearField, text: string) => {
  const line = parsedGear(field, text)
  return line.ok ? line.value.items.map(({ weight }) => weight) : gearSentence(field, line.error)
}

describe('a line of weights', () => {
  test.each([
    ['4-20 by 2, 22.5, 25', [4, 6, 8, 10, 12, 14, 16, 18, 20, 22.5, 25]],
    ['4 – 10 by 2,5', [4, 6.5, 9]],
    ['22,5; 25', [22.5, 25]],
    ['4,6,8', [4, 6, 8]],
    ['10 to 14 by 2 kg', [10, 12, 14]],
    ['', []],
    ['8, 4, 6', [4, 6, 8]],
  ])('dumbbells %s', (text, expected) => expect(weights('dumbbells', text)).toEqual(expected))
  test.each([
    ['dumbbells', '4-20 by 0', /^Dumbbells: part 1, “4-20 by 0”, needs a step above 0/],
    ['dumbbells', '4-20', /needs a step above 0/],
    ['dumbbells', '4, many, 8', /part 2, “many”, is not read/],
    ['dumbbells', '20-4 by 2', /ends below its beginning/],
    ['dumbbells', '1-400 by 0.5', /more weights than any gym has/],
    ['dumbbells', '4000', /heavier than 400; check the digits/],
    ['dumbbells', '0', /has to be above 0/],
    ['dumbbells', '8, 10, 8', /part 3, “8”, is there twice/],
    ['dumbbells', '8 x 2', /is not read/],
    ['micro', 'glued 0.5', /a name that is not known here: magnet/],
    ['bars', '20, crooked 10', /a name that is not known here: straight, cambered, rail/],
    ['plates', '20x99', /is not read/],
  ] as const)('%s: “%s” is refused with its place', (field, text, sentence) =>
    expect(weights(field, text)).toMatch(sentence),
  )
  test('names, counts and units are kept', () => {
    expect(parsedGear('plates', '20x4, 1.25 lb')).toMatchObject({
      ok: true,
      value: {
        unit: 'lb',
        items: [
          { weight: 1.25, count: 1 },
          { weight: 20, count: 4 },
        ],
      },
    })
    expect(parsedGear('bands', 'yellow, red')).toMatchObject({
      ok: true,
      value: { items: [{ name: 'yellow' }, { name: 'red' }] },
    })
  })
  test('whatever is typed is read or refused, never thrown', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GEAR_FIELDS), fc.string({ maxLength: 60 }), (field, text) => {
        const line = parsedGear(field, text)
        if (!line.ok) expect(gearSentence(field, line.error)).toContain('part')
      }),
    )
  })
})

const GEAR: Gear = {
  dumbbells: '4-20 by 2, 22.5, 25',
  bars: '20, cambered 9',
  plates: '20x2, 10, 5x2, 2.5, 1.25',
  stack: '5-50 by 5, half 2.5',
  fixed_bars: '10-30 by 5',
}
const grid = (id: string, unit: 'kg' | 'lb' = 'kg') =>
  loadGrid(requireExercise(BUILT_IN_CATALOGUE, id), unit, GEAR)

describe('what can be loaded with it', () => {
  test.each([
    ['dumbbell_curl', 21, 20],
    ['dumbbell_curl', 21.5, 22.5],
    ['barbell_curl', 31, 30],
    ['barbell_curl', 32, 32.5],
    ['cambered_bar_curl', 20, 19],
    ['cable_curl', 33, 32.5],
    ['fixed_bar_curl', 23, 25],
  ])('%s: %d becomes %d', (id, load, rounded) => expect(roundLoad(load, grid(id))).toBe(rounded))
  test('past the last weight there is none', () => {
    expect(nextWeight(25, grid('dumbbell_curl'))).toBeUndefined()
    expect(nextWeight(147.5, grid('barbell_curl'))).toBeUndefined()
  })
  test('without a line for it the usual steps hold; in pounds it is the same iron', () => {
    expect(
      loadGrid(requireExercise(BUILT_IN_CATALOGUE, 'dumbbell_curl'), 'kg', { bars: '20' }).kind,
    ).toBe('steps')
    expect(roundLoad(44, grid('dumbbell_curl', 'lb'))).toBeCloseTo(44.092, 2)
  })
  test('plates a side are the fewest there can be, and make up the load', () => {
    const bar = barOf(requireExercise(BUILT_IN_CATALOGUE, 'barbell_curl'), 'kg', GEAR)!
    expect(platesASide(42.5, bar)).toEqual([10, 1.25])
    expect(platesASide(20, bar)).toEqual([])
    expect(platesASide(41, bar)).toBeUndefined()
    expect(platesASide(15, bar)).toBeUndefined()
    const list = grid('barbell_curl')
    for (const load of list.kind === 'list' ? list.weights : []) {
      const plates = platesASide(load, bar)!
      expect(20 + 2 * plates.reduce((sum, plate) => sum + plate, 0)).toBeCloseTo(load, 9)
    }
  })
  describe('with small plates that hold by a magnet', () => {
    const gear: Gear = { ...GEAR, micro: '0.25, magnet 0.5' }
    const own = (id: string) => requireExercise(BUILT_IN_CATALOGUE, id)
    test.each([
      ['dumbbell_curl', 8.4, 8.5],
      ['dumbbell_curl', 8.25, 8],
      ['cable_curl', 30.4, 30.5],
      ['barbell_curl', 31, 31],
      ['fixed_bar_curl', 20.4, 20],
    ])('%s: %d becomes %d', (id, load, rounded) =>
      expect(roundLoad(load, loadGrid(own(id), 'kg', gear))).toBe(rounded),
    )
    test('every weight there is can be taken apart again', () => {
      for (const id of ['dumbbell_curl', 'cable_curl']) {
        const [top, list] = [topOf(own(id), 'kg', gear)!, loadGrid(own(id), 'kg', gear)]
        for (const load of list.kind === 'list' ? list.weights : []) {
          const { weight, piece } = takenApart(load, top)!
          expect(top.weights).toContain(weight)
          expect(weight + (piece ?? 0)).toBeCloseTo(load, 9)
        }
        expect(takenApart(3.7, top)).toBeUndefined()
      }
      expect(topOf(own('dumbbell_curl'), 'kg', GEAR)).toBeNull()
      expect(topOf(own('fixed_bar_curl'), 'kg', gear)).toBeNull()
    })
  })
  test('plates hang on a belt one by one', () => {
    const dip = requireExercise(BUILT_IN_CATALOGUE, 'dip')
    const belt = barOf(dip, 'kg', GEAR)!
    expect(roundLoad(8.6, loadGrid(dip, 'kg', GEAR))).toBe(8.75)
    expect(platesASide(8.75, belt)).toEqual([5, 2.5, 1.25])
    expect(platesASide(20, belt)).toEqual([20])
    expect(platesASide(0, belt)).toEqual([])
    // Both plates of every pair at once.
    expect(roundLoad(500, loadGrid(dip, 'kg', GEAR))).toBe(127.5)
    expect(roundLoad(8.6, loadGrid(dip, 'kg', {}))).toBe(7.5)
  })
})
