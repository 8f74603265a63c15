import { expect, test } from '@jest/globals'
import { applyEdit, type PlanDocument } from '#core/plan/block'
import { checkInput } from '#core/judge/checks'
import { railView } from '#core/count/ledger'
import { defaultContext } from '#core/plan/method'
import { daySlots } from '#core/plan/rotation'
import { idsInARow } from '#core/testing/notation'
import { planIn, written } from '#core/testing/shorthandPlans'
import { cellSignature } from './cellSignature'

const context = defaultContext({ trainingAgeMonths: 30 })
const plan = planIn(
  8,
  written('push', 'pushdown_rope 3 x 12, rir 2'),
  written('pull', 'cable_curl 3 x 12, rir 2'),
  written('arms', 'cable_curl 2 x 12, rir 2', 'pushdown_bar 4 x 12, rir 2'),
)
function signatures(of: PlanDocument, group: 'biceps' | 'triceps'): readonly string[] {
  const input = checkInput(of, context)
  const view = railView(input.ledger, { kind: 'group', group }, context)
  const arrivals = input.recovery.arrivals[group]
  return view.cells.map((cell, day) =>
    cellSignature({ cell, arrivals, resting: arrivals, worst: null }, day),
  )
}

test('the same plan signs the same, whatever objects it is made of', () => {
  expect(signatures(JSON.parse(JSON.stringify(plan)) as PlanDocument, 'biceps')).toEqual(
    signatures(plan, 'biceps'),
  )
})

test('an edit changes the signature of the cells it is seen in, and leaves other muscles alone', () => {
  const [curl] = daySlots(plan.rotation.days[1]!)
  const result = applyEdit(plan, { kind: 'add_sets', slot: curl!.id, count: 1 }, idsInARow())
  if (!result.ok) throw new Error('refused')
  const [before, after] = [signatures(plan, 'biceps'), signatures(result.value, 'biceps')]
  expect(after[1]).not.toBe(before[1])
  expect(after[5]).toBe(before[5])
  expect(signatures(result.value, 'triceps')).toEqual(signatures(plan, 'triceps'))
})

test('holding sets is seen', () => {
  const [curl] = daySlots(plan.rotation.days[1]!)
  const result = applyEdit(plan, { kind: 'hold', slots: [curl!.id], isHeld: true }, idsInARow())
  if (!result.ok) throw new Error('refused')
  expect(signatures(result.value, 'biceps')[1]).not.toBe(signatures(plan, 'biceps')[1])
})
