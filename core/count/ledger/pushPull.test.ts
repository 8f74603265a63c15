import { expect, test } from '@jest/globals'
import { defaultContext } from '../../plan/method'
import { planIn, written } from '../../testing/shorthandPlans'
import { pushPull, rotationLedger } from '.'

test('compounds that press stand against compounds that pull; single-joint work on neither side', () => {
  const context = defaultContext({ trainingAgeMonths: 30 })
  const plan = planIn(
    7,
    written(
      'upper',
      'machine_chest_press 3 x 10, rir 2',
      'dip 2 x 8, rir 2',
      'machine_row 4 x 10, rir 2',
      'cable_curl 3 x 12, rir 2',
      'lateral_raise_cable 3 x 12, rir 2',
    ),
  )
  expect(pushPull(rotationLedger(plan.rotation, context).work.flat(), context)).toEqual({
    push: 5,
    pull: 4,
  })
})
