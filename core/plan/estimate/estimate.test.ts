import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, EXERCISES, requireExercise } from '../catalogue'
import {
  amountIn,
  bodyLoad,
  brzycki,
  epley,
  estimatedOneRep,
  expectedReps,
  kilogramsOf,
  saidAmount,
  loadForReps,
  loadGrid,
  nextWeight,
  roundLoad,
  shareOfOneRep,
} from './index'

const exercise = (id: string) => requireExercise(BUILT_IN_CATALOGUE, id)
const barbell = loadGrid(exercise('barbell_curl'), 'kg')
const FEW = { dumbbells: '8, 12, 16' }
const dumbbells = loadGrid(exercise('dumbbell_curl'), 'kg')

describe('one-rep estimates (domain-2 P5 to P17)', () => {
  test.each([
    {
      name: 'P5 Epley, Brzycki, combined',
      actual: [epley(100, 8), brzycki(100, 8), estimatedOneRep(100, 8, 0)?.load],
      expected: [126.67, 124.14, 124.14],
    },
    {
      name: 'P6 both formulas meet at ten',
      actual: [epley(100, 10), brzycki(100, 10), estimatedOneRep(100, 1, 0)?.load],
      expected: [133.33, 133.33, 100],
    },
    { name: 'P7 RIR adds reps', actual: [estimatedOneRep(30, 12, 2)?.load], expected: [44] },
    {
      name: 'P8 expected reps',
      actual: [100, 90, 80].map(load => expectedReps(120, load)),
      expected: [7, 10, 15],
    },
    {
      name: 'P9 loads for reps',
      actual: [loadForReps(120, 8, 2), loadForReps(120, 12, 1)],
      expected: [90, 83.72],
    },
    {
      name: 'P10 expected at the next weight',
      actual: [expectedReps(44, 32.5)],
      expected: [10.62],
    },
    {
      name: 'P15 top set and back-off',
      actual: [estimatedOneRep(100, 6, 1)?.load, expectedReps(120, 90)],
      expected: [120, 10],
    },
    { name: 'P17 load from RIR', actual: [loadForReps(44, 10, 2)], expected: [31.43] },
    {
      name: 'body weight',
      actual: [bodyLoad('chin_up', 80, 10), bodyLoad('push_up', 80, 0)],
      expected: [90, 52],
    },
  ])('$name', ({ actual, expected }) =>
    actual.forEach((value, at) => expect(value).toBeCloseTo(expected[at] ?? NaN, 2)),
  )

  test('what says too little gives no estimate, and margins grow', () => {
    expect([
      estimatedOneRep(15, 20, 2),
      estimatedOneRep(40, 8, 5),
      estimatedOneRep(40, 0.5, 0),
      bodyLoad('plank', 80, 0),
    ]).toEqual([undefined, undefined, undefined, undefined])
    expect([8, 12, 18].map(reps => estimatedOneRep(40, reps, 0)?.marginPercent)).toEqual([
      5, 7.5, 10,
    ])
  })
  test("loads and reps are each other's inverse", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 20, max: 200 }),
        (reps, oneRep) =>
          expect(expectedReps(oneRep, oneRep * shareOfOneRep(reps, 0))).toBeCloseTo(reps, 6),
      ),
    )
  })
})

describe('weights that can be loaded (domain-2 P9 to P23)', () => {
  test.each([
    ['P9 83.72 on a barbell', roundLoad(83.72, barbell), 82.5],
    ['P14 down on a stack', roundLoad(38, loadGrid(exercise('machine_curl'), 'kg'), 'down'), 35],
    ['P16 next on a barbell', nextWeight(100, barbell), 102.5],
    ['P17 near', roundLoad(31.43, barbell), 32.5],
    ['P19 deload down', roundLoad(29.25, barbell, 'down'), 27.5],
    ['P23 a tie goes down', roundLoad(31.25, barbell), 30],
    ['P23 not below the empty bar', roundLoad(18, barbell), 20],
    ['P12 dumbbells: 10 is followed by 12', nextWeight(10, dumbbells), 12],
    ['dumbbells: 9 is followed by 10', nextWeight(9, dumbbells), 10],
    [
      'own weights come first',
      roundLoad(11, loadGrid(exercise('dumbbell_curl'), 'kg', FEW), 'near'),
      12,
    ],
    [
      'own weights, tie down',
      roundLoad(10, loadGrid(exercise('dumbbell_curl'), 'kg', FEW), 'near'),
      8,
    ],
    [
      'the heaviest of a list has no next',
      nextWeight(16, loadGrid(exercise('dumbbell_curl'), 'kg', FEW)),
      undefined,
    ],
    ['pounds have their own steps', nextWeight(95, loadGrid(exercise('barbell_curl'), 'lb')), 100],
    ['bands have none', roundLoad(3.3, loadGrid(exercise('band_curl'), 'kg')), 3.3],
  ])('%s', (_, actual, expected) => expect(actual).toBe(expected))

  test('rounding stays on the grid, never moves a step or more, and rounding again changes nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EXERCISES),
        fc.constantFrom('kg' as const, 'lb' as const),
        fc.integer({ min: 0, max: 800 }),
        (held, unit, quarters) => {
          const grid = loadGrid(held, unit)
          const load = quarters / 4
          const near = roundLoad(load, grid)
          expect(roundLoad(near, grid)).toBeCloseTo(near, 9)
          if (grid.kind === 'steps' && load > grid.base) {
            expect(Math.abs(near - load)).toBeLessThan(grid.step)
            expect(roundLoad(load, grid, 'down')).toBeLessThanOrEqual(load + 1e-9)
          }
        },
      ),
    )
  })
})

test('a weight typed in pounds comes back as it was typed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 4000 }),
      fc.constantFrom('kg' as const, 'lb' as const),
      (quarters, unit) => {
        const weight = { amount: quarters / 4, unit }
        expect(amountIn(weight, unit)).toBe(weight.amount)
        const other = unit === 'kg' ? 'lb' : 'kg'
        expect(amountIn({ amount: amountIn(weight, other), unit: other }, unit)).toBeCloseTo(
          weight.amount,
          9,
        )
        expect(kilogramsOf(weight)).toBeCloseTo(amountIn(weight, 'kg'), 12)
      },
    ),
  )
})

test('what was said in pounds is the number that was said, however it is kept', () => {
  for (let pounds = 0; pounds <= 500; pounds += 2.5)
    expect(saidAmount(Math.fround(kilogramsOf({ amount: pounds, unit: 'lb' })), 'lb')).toBe(pounds)
})
