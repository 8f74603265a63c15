import { expect, test } from '@jest/globals'
import { beamGeometry } from './beamGeometry'

test('the pin sits where the wish is level', () => {
  const { flexorArm, extensorArm, tilt } = beamGeometry(1.1, 0)
  expect(flexorArm / extensorArm).toBeCloseTo(1.1, 9)
  expect(flexorArm + extensorArm).toBeCloseTo(206, 9)
  expect(tilt).toBe(0)
})

test.each([
  [0.14, 5.24],
  [-0.14, -6.03],
  [3, 12],
  [-0.9, -12],
  [null, 0],
])('an excess of %p tilts by %p degrees', (excess, tilt) => {
  expect(beamGeometry(1.1, excess).tilt).toBeCloseTo(tilt, 2)
})
