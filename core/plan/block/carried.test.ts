import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate } from '../../base'
import { daySetCount } from '../rotation'
import { STEADY_MIDDLE } from '../method'
import { sessionSlots } from '../session'
import { formatScheme } from '../shorthand'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { carriedPlan, type CarriedPlan, type PlanDocument } from '.'

const plan: PlanDocument = {
  ...planIn(
    7,
    written(
      'push',
      'machine_chest_press 3 x 8 bench 30 seat 4, 60kg, rir 2',
      'pushdown_rope 3 x 12, 70% e1rm',
    ),
  ),
  passes: 6,
  block: {
    deloads: [5],
    repWave: [0, -2],
    events: [
      {
        id: 'e',
        what: 'Regatta',
        from: plainDate('2026-04-01'),
        to: plainDate('2026-04-02'),
        effect: 'skip',
      },
    ],
    exceptions: [{ kind: 'rir', pass: 1, change: 1 }],
  },
}
const schemes = ({ days }: CarriedPlan) =>
  days.flatMap(({ sessions }) =>
    sessions.flatMap(session => sessionSlots(session).map(({ scheme }) => formatScheme(scheme))),
  )

describe('a plan for another client', () => {
  test('leaves weights and what is set for one body behind; shares of a maximum stay', () =>
    expect(schemes(carriedPlan(plan, STEADY_MIDDLE, 'rotation'))).toEqual([
      '3 x 8 bench 30, rir 2',
      '3 x 12, 70% e1rm',
    ]))
  test('a rotation goes alone; a block takes along how it goes on, without dates', () => {
    const rotation = carriedPlan(plan, STEADY_MIDDLE, 'rotation')
    expect([rotation.passes, rotation.block]).toEqual([undefined, undefined])
    const block = carriedPlan(plan, STEADY_MIDDLE, 'block')
    expect([block.passes, block.block]).toEqual([6, { deloads: [5], repWave: [0, -2] }])
  })
  test('no set is lost, and no weight goes along, whatever the plan', () => {
    fc.assert(
      fc.property(planArbitrary, any => {
        const carried = carriedPlan(any, STEADY_MIDDLE, 'block')
        expect(carried.days.map(daySetCount)).toEqual(any.rotation.days.map(daySetCount))
        expect(JSON.stringify(carried.days)).not.toMatch(/"kind":"(?:weight|stack_position)"/)
      }),
      { numRuns: 60 },
    )
  })
})
