import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, EXERCISES, requireExercise } from '../../plan/catalogue'
import { defaultContext } from '../../plan/method'
import { schemeArbitrary } from '../../testing/schemes'
import { effortFactor, repFactor, stageWorths } from './weightedValue'

const context = defaultContext({ trainingAgeMonths: 48 })

describe('factors of the school that weighs sets (domain 3.2)', () => {
  test.each([
    [0, 1],
    [1, 1],
    [1.5, 0.975],
    [2, 0.95],
    [2.5, 0.9],
    [3, 0.85],
    [4, 0.7],
    [5, 0.5],
    [6, 0.3],
    [7, 0.15],
    [8, 0],
    [12, 0],
  ])('RIR %d counts %d', (rir, expected) => expect(effortFactor(rir)).toBeCloseTo(expected, 9))
  test.each([
    [1, 0.25],
    [2, 0.4],
    [3, 0.5],
    [4, 0.75],
    [5, 1],
    [30, 1],
    [31, 0.85],
    [40, 0.85],
    [41, 0.6],
  ])('%d reps count %d', (reps, expected) => expect(repFactor(reps)).toBe(expected))
})

test('no set is worth more than two and a half, none less than nothing, and one rep less in reserve never lowers it', () => {
  fc.assert(
    fc.property(schemeArbitrary, fc.constantFrom(...EXERCISES), (scheme, exercise) => {
      for (const run of scheme.runs) {
        const worths = stageWorths(
          run,
          requireExercise(BUILT_IN_CATALOGUE, exercise.id),
          context,
          false,
        )
        const sum = worths.reduce((total, { value }) => total + value, 0)
        expect(sum).toBeLessThanOrEqual(2.5 + 1e-9)
        expect(worths.every(({ value }) => value >= 0)).toBe(true)
      }
    }),
    { numRuns: 300 },
  )
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 40 }), quarters =>
      expect(effortFactor(quarters / 4)).toBeGreaterThanOrEqual(effortFactor(quarters / 4 + 1)),
    ),
  )
})
