import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { purchaseWords, whyNotLines } from '../../words'
import { shrunk } from './reasons'

const KEYS = Array.from({ length: 12 }, (_, at) => `k${at}`)

test('what remains of hurdles still forbids, and none of it can be left out', () => {
  const families = fc.array(fc.subarray(KEYS, { minLength: 1, maxLength: 5 }), {
    minLength: 1,
    maxLength: 6,
  })
  fc.assert(
    fc.property(families, forbidding => {
      let asked = 0
      const isPossible = (kept: ReadonlySet<string>) => {
        asked += 1
        return !forbidding.some(set => set.every(key => kept.has(key)))
      }
      const smallest = shrunk(new Set(KEYS), isPossible)
      expect(asked).toBeLessThan(3 * KEYS.length)
      expect(isPossible(smallest)).toBe(false)
      for (const key of smallest)
        expect(isPossible(new Set([...smallest].filter(other => other !== key)))).toBe(true)
    }),
    { numRuns: 300 },
  )
})

test('reasons and purchases in words', () => {
  const miss = { kind: 'target', group: 'biceps', amount: 3 } as const
  expect(
    whyNotLines({
      miss,
      sets: [
        [{ kind: 'ceiling', group: 'biceps' }],
        [
          { kind: 'minutes', day: 3 },
          { kind: 'readiness', group: 'biceps', day: 1 },
        ],
        [],
      ],
    }),
  ).toEqual([
    'The ceiling of the biceps alone forbids it.',
    'The minutes of day 4 and the recovery of the biceps by day 2 together forbid it.',
    'What stands fixed forbids it.',
  ])
  expect(whyNotLines({ miss, sets: [] })[0]).toMatch(/nothing proves that there is none/)
  expect(whyNotLines({ miss: { ...miss, kind: 'frequency' }, sets: [[]] })).toEqual([
    'The training days there are do not allow it.',
  ])
  expect(
    purchaseWords({
      hurdle: { kind: 'minutes', day: 3 },
      step: 10,
      gains: [
        { miss: { kind: 'target', group: 'biceps' }, amount: 3 },
        { miss: { kind: 'readiness', group: 'triceps' }, amount: 1.2 },
      ],
      points: 30,
    }),
  ).toBe('10 more minutes on day 4: biceps +3.0 sets, triceps 1 point readier')
})
