import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { rotationLedger } from '../../count/ledger'
import { contextWith, METHODS } from '../../plan/method'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { twiceSeenWords } from '../../words'
import { checkPlan, findingKey } from '../checks'
import { secondMethod } from './secondMethod'

const inPart = METHODS.find(({ school }) => school.id === 'fractional')!
const directOnly = METHODS.find(({ school }) => school.id === 'direct_only')!
const context = contextWith(inPart, { trainingAgeMonths: 36 })

/** Presses and rows that bring the arms half of what they get. */
const compounds = planIn(
  7,
  written('push', 'machine_chest_press 6 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
  written('pull', 'machine_row 6 x 10, rir 2', 'cable_curl 1 x 12, rir 2'),
  written('rest'),
  written('push', 'machine_chest_press 6 x 8, rir 2', 'pushdown_rope 2 x 12, rir 2'),
  written('pull', 'machine_row 6 x 10, rir 2', 'cable_curl 1 x 12, rir 2'),
)

describe('a second method over a plan', () => {
  test('direct only over a plan counted in part: what changes sides comes first, with the reason', () => {
    const seen = secondMethod(compounds, context, directOnly)
    const [first] = seen.muscles
    const biceps = seen.muscles.find(({ group }) => group === 'biceps')!
    expect(biceps.own.counted).toBeGreaterThan(biceps.other.counted)
    expect(biceps.other.counted).toBe(2)
    expect(first!.changesSides).toBe(true)
    expect(twiceSeenWords(biceps, inPart, directOnly)).toBe(
      'in part 8.0, direct only 2.0: under the floor',
    )
  })

  test('each side is what the board has under that method, over any plan', () => {
    fc.assert(
      fc.property(planArbitrary, fc.constantFrom(...METHODS), (plan, method) => {
        const seen = secondMethod(plan, context, method)
        const under = contextWith(method, context.client, context.catalogue)
        const [own, other] = [
          rotationLedger(plan.rotation, context),
          rotationLedger(plan.rotation, under),
        ]
        for (const muscle of seen.muscles) {
          expect(muscle.own.counted).toBe(own.groups[muscle.group].week.counted.value)
          expect(muscle.other.counted).toBe(other.groups[muscle.group].week.counted.value)
          expect(muscle.other.outside).toBe(other.groups[muscle.group].outside)
        }
        const firstSame = seen.muscles.findIndex(({ changesSides }) => !changesSides)
        expect(seen.muscles.slice(firstSame).some(({ changesSides }) => changesSides)).toBe(false)
        const [here, there] = [checkPlan(plan, context), checkPlan(plan, under)].map(
          found => new Set(found.map(findingKey)),
        )
        const after = new Set([...here!].filter(key => !seen.goes.map(findingKey).includes(key)))
        for (const finding of seen.appears) after.add(findingKey(finding))
        expect(after).toEqual(there)
      }),
      { numRuns: 12 },
    )
  })

  test('a method over itself changes nothing', () => {
    const seen = secondMethod(compounds, context, inPart)
    expect(seen.muscles.some(({ changesSides }) => changesSides)).toBe(false)
    expect([...seen.appears, ...seen.goes]).toEqual([])
    expect(seen.minutes.own).toBe(seen.minutes.other)
  })

  test('a method with other rests takes another time, on the days that train', () => {
    const seen = secondMethod(compounds, context, directOnly)
    expect(seen.minutes.other).not.toBe(seen.minutes.own)
    expect(seen.days.filter(({ own }) => own > 0)).toHaveLength(4)
  })
})
